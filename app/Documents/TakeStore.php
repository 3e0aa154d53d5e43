<?php

declare(strict_types=1);

namespace App\Documents;

use App\Http\Resources\LockResource;
use App\Models\Breakdown;
use App\Models\Take;
use App\Models\User;
use Gravik\Listening\LockReport;
use Gravik\Listening\Take as PlayedTake;
use Gravik\Listening\Tap;
use Gravik\Time\Ruler;

/** Keeps takes with the report they were given; reports are not judged anew when the breakdown changes. */
final readonly class TakeStore
{
    public function keep(Breakdown $breakdown, User $player, string $id, int $bars, int $stage, PlayedTake $played, Ruler $ruler, LockReport $report): Take
    {
        $existing = Take::query()->with('player')->find($id);
        if ($existing !== null) {
            return $existing->player_id === $player->id ? $existing : abort(403);
        }
        $take = new Take([
            'breakdown_id' => $breakdown->id,
            'player_id' => $player->id,
            'revision' => $breakdown->revision,
            'tempo' => $ruler->tempo->bpm,
            'swing' => $ruler->ratio,
            'latency_ms' => $report->latencyMs,
            'bars' => $bars,
            'stage' => $stage,
            'gate' => ['bias_ms' => $report->gate->biasMs, 'spread_ms' => $report->gate->spreadMs, 'swing_points' => $report->gate->swingPoints, 'missed_share' => $report->gate->missedShare],
            'strokes' => array_map(static fn (Tap $tap): array => ['t' => round($tap->t, 5)] + array_filter(['key' => $tap->direction?->value, 'level_db' => $tap->levelDb === null ? null : round($tap->levelDb, 1), 'muted' => $tap->muted], static fn (mixed $value): bool => $value !== null), $played->taps),
            'report' => LockResource::of($report),
        ]);
        $take->id = $id;
        $take->save();

        return $take->setRelation('player', $player);
    }

    /** The tempo of the last take with which this player passed the gate, or null. */
    public function lastCleanTempo(Breakdown $breakdown, User $player): ?float
    {
        $clean = Take::query()->where('breakdown_id', $breakdown->id)->where('player_id', $player->id)->where('report->gate->passed', true)->latest()->first();

        return $clean?->tempo;
    }
}
