<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Who plays what in a band, and what its listeners heard in balance tests. */
return new class () extends Migration {
    public function up(): void
    {
        Schema::table('group_members', static fn (Blueprint $table) => $table->string('plays', 24)->nullable());
        Schema::create('balances', static function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('group_id')->constrained()->cascadeOnDelete();
            $table->foreignUlid('breakdown_id')->constrained()->cascadeOnDelete();
            $table->foreignId('heard_by')->nullable()->constrained('users')->nullOnDelete();
            $table->string('seat', 24);
            $table->decimal('gain_db', 5, 2)->nullable();
            $table->string('verdict', 24);
            $table->timestamps();
            $table->index(['group_id', 'breakdown_id']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('balances');
        Schema::table('group_members', static fn (Blueprint $table) => $table->dropColumn('plays'));
    }
};
