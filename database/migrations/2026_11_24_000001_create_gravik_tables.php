<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class () extends Migration {
    public function up(): void
    {
        Schema::create('users', static function (Blueprint $table): void {
            $table->id();
            $table->string('name', 80);
            $table->string('email', 160)->unique();
            $table->string('password');
            $table->string('role', 16);
            $table->timestamps();
        });

        Schema::create('breakdowns', static function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignId('owner_id')->constrained('users')->cascadeOnDelete();
            $table->string('title', 120);
            $table->string('genre', 80);
            $table->string('key', 20);
            $table->string('meter', 8);
            $table->decimal('tempo', 6, 2);
            $table->string('feel', 60);
            $table->unsignedInteger('revision');
            $table->longText('document');
            $table->timestamps();
            $table->softDeletes();
            $table->index(['owner_id', 'deleted_at']);
        });

        Schema::create('breakdown_revisions', static function (Blueprint $table): void {
            $table->id();
            $table->foreignUlid('breakdown_id')->constrained()->cascadeOnDelete();
            $table->foreignId('saved_by')->constrained('users')->cascadeOnDelete();
            $table->unsignedInteger('number');
            $table->string('sitting', 40);
            $table->boolean('refused')->default(false);
            $table->longText('document');
            $table->timestamps();
            $table->index(['breakdown_id', 'number']);
        });

        Schema::create('assignments', static function (Blueprint $table): void {
            $table->id();
            $table->foreignUlid('breakdown_id')->constrained()->cascadeOnDelete();
            $table->foreignId('student_id')->constrained('users')->cascadeOnDelete();
            $table->timestamps();
            $table->unique(['breakdown_id', 'student_id']);
        });

        Schema::create('takes', static function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('breakdown_id')->constrained()->cascadeOnDelete();
            $table->foreignId('player_id')->constrained('users')->cascadeOnDelete();
            $table->unsignedInteger('revision');
            $table->decimal('tempo', 6, 2);
            $table->decimal('swing', 8, 5);
            $table->decimal('latency_ms', 8, 2)->nullable();
            $table->unsignedInteger('bars');
            $table->json('gate');
            $table->longText('strokes');
            $table->longText('report');
            $table->timestamps();
            $table->index(['breakdown_id', 'player_id']);
        });

        Schema::create('calibrations', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('device', 64);
            $table->decimal('latency_ms', 8, 2);
            $table->decimal('spread_ms', 8, 2);
            $table->timestamp('measured_at');
            $table->timestamps();
            $table->unique(['user_id', 'device']);
        });
    }

    public function down(): void
    {
        foreach (['calibrations', 'takes', 'assignments', 'breakdown_revisions', 'breakdowns', 'users'] as $table) {
            Schema::dropIfExists($table);
        }
    }
};
