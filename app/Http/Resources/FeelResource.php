<?php

declare(strict_types=1);

namespace App\Http\Resources;

use Gravik\Listening\Feel\FeelReading;
use Gravik\Listening\Hearing\Hearing;
use Gravik\Listening\PlayedOnset;

/** A measured feel as the command line states it. */
final class FeelResource
{
    /**
     * @param ?FeelReading $reading null where there were too few strokes
     * @param list<PlayedOnset>    $strokes
     *
     * @return array<string, mixed>
     */
    public static function of(?FeelReading $reading, array $strokes, ?Hearing $hearing): array
    {
        return [
            'tempo_bpm' => $reading === null ? null : round($reading->tempoBpm, 3),
            'grid' => $reading?->grid,
            'swing_ratio' => $reading?->swing === null ? null : round($reading->swing->ratio, 3),
            'swing_low' => $reading?->swing === null ? null : round($reading->swing->low, 3),
            'swing_high' => $reading?->swing === null ? null : round($reading->swing->high, 3),
            'bias_ms' => $reading?->biasMs === null ? null : round($reading->biasMs, 2),
            'spread_ms' => $reading === null ? null : round($reading->spreadMs, 2),
            'drift_bpm_per_min' => $reading === null ? null : round($reading->driftBpmPerMin, 3),
            'tuning_cents' => $hearing?->tuning === null ? null : round($hearing->tuning->cents, 1),
            'onsets' => array_map(static fn (PlayedOnset $stroke): float => round($stroke->t, 4), $strokes),
            'strokes' => array_map(static fn (PlayedOnset $stroke): array => [
                't' => round($stroke->t, 4),
                'direction' => $stroke->direction?->value,
                'muted' => $stroke->muted,
                'level_db' => $stroke->levelDb === null ? null : round($stroke->levelDb, 1),
                'length_s' => $stroke->seconds === null ? null : round($stroke->seconds, 3),
            ], $strokes),
        ];
    }
}
