<?php

declare(strict_types=1);

namespace App\Documents;

use App\Models\Breakdown;
use App\Models\Take;
use App\Models\User;
use Carbon\CarbonImmutable;
use Gravik\Formats\ReportJson;
use Gravik\Listening\Lock\Finding;
use Gravik\Listening\Lock\FindingKind;
use Gravik\Listening\Lock\LockReport;
use Gravik\Listening\Lock\Take as PlayedTake;
use Gravik\Listening\PlayedOnset;
use Gravik\Time\Ruler;
use Illuminate\Support\Facades\DB;

/** Keeps takes with the report they were given; reports are not judged anew when the breakdown changes. */
final readonly class TakeStore
{
    public function __construct(private BreakdownStore $breakdowns) {}

    /** @throws IdTaken when the id belongs to another breakdown's take or another player's */
    public function known(Breakdown $breakdown, User $player, string $id): ?Take
    {
        $take = Take::query()->with('player')->find($id);
        if ($take !== null && ($take->player_id !== $player->id || $take->breakdown_id !== $breakdown->id)) {
            throw IdTaken::byATake();
        }

        return $take;
    }

    /** @throws IdTaken */
    public function keep(Breakdown $breakdown, User $player, AskedTake $asked, PlayedTake $played, Ruler $ruler, LockReport $report): Take
    {
        return DB::transaction(function () use ($breakdown, $player, $asked, $played, $ruler, $report): Take {
            // Sent twice at once: whoever comes second finds the first one's.
            $known = $this->known($breakdown, $player, $asked->id);
            if ($known !== null) {
                return $known;
            }
            $take = new Take([
                'breakdown_id' => $breakdown->id,
                'player_id' => $player->id,
                'number' => 1 + (int) Take::query()->where('breakdown_id', $breakdown->id)->where('player_id', $player->id)->max('number'),
                'revision' => $breakdown->revision,
                'tempo' => $ruler->tempo->bpm,
                'swing' => $ruler->ratio,
                'latency_ms' => $report->latencyMs,
                'bars' => $asked->bars,
                'seconds' => round($asked->bars * $ruler->seconds($ruler->meter->beats()), 2),
                'from_bar' => $asked->from,
                'stage' => $asked->stage?->text() ?? '',
                'arrangement' => $asked->arrangement,
                'level' => $asked->level,
                'gate' => [
                    'bias_ms' => $report->gate->biasMs,
                    'spread_ms' => $report->gate->spreadMs,
                    'swing_points' => $report->gate->swingPoints,
                    'missed_share' => $report->gate->missedShare,
                ],
                'gate_ms' => $report->gate->biasMs,
                'passed' => $report->failed === [],
                'bias_ms' => $report->biasMs === null ? null : round($report->biasMs, 2),
                'spread_ms' => $report->spreadMs === null ? null : round($report->spreadMs, 2),
                'finding' => self::first($report)?->text,
                'strokes' => array_map(self::stroke(...), $played->sure()),
                'report' => ReportJson::write($report),
            ]);
            $take->id = $asked->id;
            // What waited for a connection counts from when it was played; no two clocks need to agree for that.
            $take->created_at = CarbonImmutable::now()->subSeconds($asked->waited);
            $take->save();
            $this->breakdowns->refer($breakdown);

            return $take->setRelation('player', $player);
        });
    }

    /** The tempo of the last take with which this player passed the gate, or null. */
    public function lastCleanTempo(Breakdown $breakdown, User $player): ?float
    {
        return Take::query()->where(
            'breakdown_id',
            $breakdown->id,
        )->where('player_id', $player->id)->where('passed', true)->latest()->first(['id', 'tempo'])?->tempo;
    }

    /** What is said first of a take: of one that passed what holds, of another what is wrong. */
    private static function first(LockReport $report): ?Finding
    {
        $holds = array_values(array_filter($report->findings, static fn (Finding $finding): bool => $finding->kind === FindingKind::Holds));

        return $report->failed === [] ? $holds[0] ?? $report->findings[0] ?? null : $report->findings[0] ?? null;
    }

    /** @return array{t: float, key?: string, level_db?: float, muted?: bool} */
    private static function stroke(PlayedOnset $tap): array
    {
        return ['t' => round($tap->t, 5)]
            + ($tap->direction === null ? [] : ['key' => $tap->direction->value])
            + ($tap->levelDb === null ? [] : ['level_db' => round($tap->levelDb, 1)])
            + ($tap->muted === null ? [] : ['muted' => $tap->muted]);
    }
}
