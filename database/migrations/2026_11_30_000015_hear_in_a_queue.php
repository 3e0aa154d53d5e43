<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Recordings wait their turn to be heard, and are kept where their player agrees. */
return new class () extends Migration {
    public function up(): void
    {
        Schema::create('jobs', static function (Blueprint $table): void {
            $table->id();
            $table->string('queue')->index();
            $table->longText('payload');
            $table->unsignedTinyInteger('attempts');
            $table->unsignedInteger('reserved_at')->nullable();
            $table->unsignedInteger('available_at');
            $table->unsignedInteger('created_at');
        });
        Schema::create('failed_jobs', static function (Blueprint $table): void {
            $table->id();
            $table->string('uuid')->unique();
            $table->text('connection');
            $table->text('queue');
            $table->longText('payload');
            $table->longText('exception');
            $table->timestamp('failed_at')->useCurrent();
        });
        Schema::create('hearings', static function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->foreignUlid('breakdown_id')->nullable()->constrained()->cascadeOnDelete();
            $table->string('name', 40);
            $table->string('state', 16);
            $table->decimal('done', 5, 4)->default(0);
            $table->boolean('keeps_sound')->default(false);
            $table->string('message', 500)->nullable();
            $table->longText('heard')->nullable();
            $table->timestamps();
            $table->index('created_at');
        });
        Schema::table('takes', static fn (Blueprint $table) => $table->decimal('sound_at', 10, 5)->nullable());
        Schema::table('users', static fn (Blueprint $table) => $table->boolean('keeps_sound')->default(false));
    }

    public function down(): void
    {
        Schema::table('users', static fn (Blueprint $table) => $table->dropColumn('keeps_sound'));
        Schema::table('takes', static fn (Blueprint $table) => $table->dropColumn('sound_at'));
        foreach (['hearings', 'failed_jobs', 'jobs'] as $table) {
            Schema::dropIfExists($table);
        }
    }
};
