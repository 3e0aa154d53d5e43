<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class () extends Migration {
    public function up(): void
    {
        Schema::table('users', static function (Blueprint $table): void {
            $table->string('hand', 60)->default('medium');
        });

        Schema::create('grips', static function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignId('owner_id')->constrained('users')->cascadeOnDelete();
            $table->string('name', 60);
            $table->string('symbol', 40);
            $table->string('tuning', 80);
            $table->json('frets');
            $table->timestamps();
            $table->unique(['owner_id', 'name']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('grips');
        Schema::table('users', static fn (Blueprint $table) => $table->dropColumn('hand'));
    }
};
