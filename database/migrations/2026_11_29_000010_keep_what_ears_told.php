<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class () extends Migration {
    public function up(): void
    {
        Schema::create('ears', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->foreignUlid('breakdown_id')->constrained()->cascadeOnDelete();
            $table->string('flaw', 20);
            $table->boolean('was_right');
            $table->timestamp('created_at');
            $table->index(['breakdown_id', 'user_id', 'flaw']);
        });
    }

    public function down(): void
    {
        Schema::drop('ears');
    }
};
