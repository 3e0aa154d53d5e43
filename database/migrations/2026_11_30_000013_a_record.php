<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Who came in, was given something, or left: for the owner of the school. */
return new class () extends Migration {
    public function up(): void
    {
        Schema::create('records', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('by_id')->nullable()->constrained('users')->nullOnDelete();
            $table->string('by_name', 80);
            $table->string('kind', 24);
            $table->string('about', 200)->default('');
            $table->timestamp('created_at')->index();
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('records');
    }
};
