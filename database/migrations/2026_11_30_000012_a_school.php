<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Who teaches whom, how people come in, what is assigned with its stage, and what comes back when. */
return new class () extends Migration {
    public function up(): void
    {
        Schema::table('users', static function (Blueprint $table): void {
            $table->boolean('owner')->default(false);
        });
        $first = DB::table('users')->where('role', 'teacher')->min('id');
        DB::table('users')->where('id', $first)->update(['owner' => true]);

        Schema::create('taught', static function (Blueprint $table): void {
            $table->foreignId('teacher_id')->constrained('users')->cascadeOnDelete();
            $table->foreignId('student_id')->constrained('users')->cascadeOnDelete();
            $table->primary(['teacher_id', 'student_id']);
            $table->index('student_id');
        });
        // Whoever is assigned a breakdown is a student of its owner's.
        DB::table('taught')->insertUsing(['teacher_id', 'student_id'], DB::table('assignments')
            ->join('breakdowns', 'breakdowns.id', '=', 'assignments.breakdown_id')
            ->distinct()->select(['breakdowns.owner_id', 'assignments.student_id']));

        Schema::create('groups', static function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignId('teacher_id')->constrained('users')->cascadeOnDelete();
            $table->string('name', 60);
            $table->string('code', 12)->nullable()->unique();
            $table->timestamps();
        });
        Schema::create('group_members', static function (Blueprint $table): void {
            $table->foreignUlid('group_id')->constrained()->cascadeOnDelete();
            $table->foreignId('student_id')->constrained('users')->cascadeOnDelete();
            $table->primary(['group_id', 'student_id']);
        });
        Schema::create('invitations', static function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->string('kind', 16);
            $table->string('token', 64)->unique();
            $table->foreignId('made_by')->constrained('users')->cascadeOnDelete();
            $table->foreignUlid('group_id')->nullable()->constrained()->nullOnDelete();
            $table->foreignId('for_id')->nullable()->constrained('users')->cascadeOnDelete();
            $table->string('name', 80)->default('');
            $table->timestamp('expires_at');
            $table->timestamp('used_at')->nullable();
            $table->timestamps();
        });

        Schema::table('assignments', static function (Blueprint $table): void {
            $table->unsignedInteger('revision')->default(0);
            $table->json('stages')->nullable();
            $table->unsignedSmallInteger('reached')->default(0);
            $table->boolean('opens')->default(true);
            $table->date('due_on')->nullable();
            $table->unsignedSmallInteger('minutes')->default(10);
            $table->foreignId('given_by')->nullable()->constrained('users')->nullOnDelete();
            $table->timestamp('passed_at')->nullable();
            $table->index(['student_id', 'due_on']);
        });
        // What was assigned until now is assigned as it stands.
        $now = '(select revision from breakdowns where breakdowns.id = assignments.breakdown_id)';
        DB::table('assignments')->update(['revision' => DB::raw($now)]);

        Schema::create('upkeeps', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('student_id')->constrained('users')->cascadeOnDelete();
            $table->foreignUlid('breakdown_id')->constrained()->cascadeOnDelete();
            $table->string('stage', 120)->default('');
            $table->unsignedSmallInteger('days');
            $table->date('due_on');
            $table->timestamps();
            $table->unique(['student_id', 'breakdown_id', 'stage']);
            $table->index(['student_id', 'due_on']);
        });
        Schema::create('remarks', static function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('take_id')->constrained()->cascadeOnDelete();
            $table->foreignId('author_id')->constrained('users')->cascadeOnDelete();
            $table->string('text', 500);
            $table->decimal('seconds', 8, 2)->nullable();
            $table->timestamps();
            $table->index('take_id');
        });
        Schema::table('takes', static fn (Blueprint $table) => $table->index(['player_id', 'created_at']));
    }

    public function down(): void
    {
        Schema::table('takes', static fn (Blueprint $table) => $table->dropIndex(['player_id', 'created_at']));
        foreach (['remarks', 'upkeeps', 'invitations', 'group_members', 'groups', 'taught'] as $table) {
            Schema::dropIfExists($table);
        }
        Schema::table('assignments', static function (Blueprint $table): void {
            $table->dropForeign(['given_by']);
            $table->dropIndex(['student_id', 'due_on']);
            $table->dropColumn(['revision', 'stages', 'reached', 'opens', 'due_on', 'minutes', 'given_by', 'passed_at']);
        });
        Schema::table('users', static fn (Blueprint $table) => $table->dropColumn('owner'));
    }
};
