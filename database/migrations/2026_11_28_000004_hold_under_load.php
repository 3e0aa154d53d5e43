<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * Sessions in the database, necks turned as each wants them, versions that stay, and the figures and indexes that long lists are
 * read from.
 */
return new class () extends Migration {
    public function up(): void
    {
        Schema::create('sessions', static function (Blueprint $table): void {
            $table->string('id')->primary();
            $table->foreignId('user_id')->nullable()->index();
            $table->string('ip_address', 45)->nullable();
            $table->text('user_agent')->nullable();
            $table->longText('payload');
            $table->integer('last_activity')->index();
        });
        Schema::table('users', static function (Blueprint $table): void {
            $table->boolean('left_handed')->default(false);
            $table->boolean('high_on_top')->default(false);
        });
        Schema::table('breakdowns', static function (Blueprint $table): void {
            $table->text('sketch')->nullable();
            $table->text('words')->nullable();
            $table->string('sitting', 40)->default('');
            $table->index(['owner_id', 'updated_at']);
        });
        Schema::table('breakdown_revisions', static function (Blueprint $table): void {
            $table->boolean('referred_to')->default(false);
            $table->index('saved_by');
        });
        Schema::table('takes', static function (Blueprint $table): void {
            $table->unsignedInteger('number')->default(0);
            $table->boolean('passed')->default(false);
            $table->unsignedTinyInteger('level')->default(3);
            $table->decimal('bias_ms', 8, 2)->nullable();
            $table->decimal('spread_ms', 8, 2)->nullable();
            $table->decimal('gate_ms', 8, 2)->nullable();
            $table->text('finding')->nullable();
            $table->index(['breakdown_id', 'player_id', 'created_at']);
            $table->index(['breakdown_id', 'player_id', 'passed', 'created_at']);
            $table->index(['breakdown_id', 'created_at', 'id']);
            $table->index('player_id');
        });
        $this->fillTakes();
        $this->fillWords();
        DB::table('breakdown_revisions')->where('refused', false)->whereExists(static fn ($takes) => $takes->from('takes')
            ->whereColumn(
                'takes.breakdown_id',
                'breakdown_revisions.breakdown_id',
            )->whereColumn('takes.revision', 'breakdown_revisions.number'))->update(['referred_to' => true]);
        DB::table('users')->update(['email' => DB::raw('lower(email)')]);
    }

    public function down(): void
    {
        Schema::dropIfExists('sessions');
        Schema::table('users', static function (Blueprint $table): void {
            $table->dropColumn(['left_handed', 'high_on_top']);
        });
        Schema::table('takes', static function (Blueprint $table): void {
            $table->dropIndex(['breakdown_id', 'player_id', 'created_at']);
            $table->dropIndex(['breakdown_id', 'player_id', 'passed', 'created_at']);
            $table->dropIndex(['breakdown_id', 'created_at', 'id']);
            $table->dropIndex(['player_id']);
            $table->dropColumn(['number', 'passed', 'level', 'bias_ms', 'spread_ms', 'gate_ms', 'finding']);
        });
        Schema::table('breakdown_revisions', static function (Blueprint $table): void {
            $table->dropIndex(['saved_by']);
            $table->dropColumn('referred_to');
        });
        Schema::table('breakdowns', static function (Blueprint $table): void {
            $table->dropIndex(['owner_id', 'updated_at']);
            $table->dropColumn(['sketch', 'words', 'sitting']);
        });
    }

    private function fillWords(): void
    {
        foreach (DB::table('breakdowns')->select(['id', 'title', 'genre', 'key', 'feel', 'meter'])->orderBy('id')->cursor() as $breakdown) {
            DB::table('breakdowns')
                ->where('id', $breakdown->id)
                ->update(['words' => mb_strtolower("{$breakdown->title} {$breakdown->genre} {$breakdown->key} {$breakdown->feel} {$breakdown->meter}")]);
        }
    }

    /** Takes kept before were numbered each time they were listed. */
    private function fillTakes(): void
    {
        $numbers = [];
        foreach (DB::table('takes')->select([
            'id',
            'breakdown_id',
            'player_id',
            'report',
            'gate',
        ])->orderBy('created_at')->orderBy('id')->cursor() as $take) {
            $of = $take->breakdown_id.'|'.$take->player_id;
            $numbers[$of] = ($numbers[$of] ?? 0) + 1;
            $report = json_decode((string) $take->report, true, 64, JSON_THROW_ON_ERROR);
            DB::table('takes')->where('id', $take->id)->update([
                'number' => $numbers[$of],
                'passed' => (bool) ($report['gate']['passed'] ?? false),
                'bias_ms' => $report['bias_ms'] ?? null,
                'gate_ms' => json_decode((string) $take->gate, true, 8, JSON_THROW_ON_ERROR)['bias_ms'] ?? null,
                'spread_ms' => $report['spread_ms'] ?? null,
                'finding' => $report['findings'][0]['text'] ?? null,
            ]);
        }
    }
};
