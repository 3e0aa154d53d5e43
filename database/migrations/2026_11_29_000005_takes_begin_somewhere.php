<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** A take may be of one pass, or of some bars. */
return new class () extends Migration {
    public function up(): void
    {
        Schema::table('takes', static function (Blueprint $table): void {
            $table->unsignedSmallInteger('from_bar')->default(0);
        });
    }

    public function down(): void
    {
        Schema::table('takes', static function (Blueprint $table): void {
            $table->dropColumn('from_bar');
        });
    }
};
