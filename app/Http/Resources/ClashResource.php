<?php

declare(strict_types=1);

namespace App\Http\Resources;

use Gravik\Ensemble\Clash;
use Gravik\Ensemble\Heard;
use Gravik\Ensemble\Mend;

/** One clash as BandResource describes it. */
final class ClashResource
{
    /**
     * @param bool $settled whether what its repairs would change is worked out
     *
     * @return array<string, mixed>
     */
    public static function of(Heard $heard, Clash $clash, bool $settled): array
    {
        return [
            'kind' => $clash->kind->value,
            'title' => $clash->kind->words(),
            'text' => $clash->text,
            'severity' => round($clash->severity, 3),
            'parts' => $clash->parts,
            'bars' => $clash->bars,
            'beats' => array_map(static fn (int $tick): float => BandWindowResource::beatsInto($heard, $clash->bars[0], $tick), $clash->ticks),
            'mends' => array_map(static fn (Mend $mend): array => [
                'words' => $mend->words,
                'change' => $settled ? DocumentChange::between($heard->breakdown, $mend->after()) : null,
            ], $clash->mends),
        ];
    }
}
