<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What is assigned is given in grips that the student's hand can take, unless the teacher says otherwise. */
return new class () extends Migration {
    public function up(): void
    {
        Schema::table('assignments', static function (Blueprint $table): void {
            $table->boolean('eases')->default(true);
            $table->json('eased')->nullable();
            $table->longText('eased_document')->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('assignments', static fn (Blueprint $table) => $table->dropColumn(['eases', 'eased', 'eased_document']));
    }
};
