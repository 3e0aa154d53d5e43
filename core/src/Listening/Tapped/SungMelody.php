<?php

declare(strict_types=1);

namespace Gravik\Listening\Tapped;

use Gravik\Harmony\Key;
use Gravik\Listening\Hearing\SungNote;
use Gravik\Listening\Statistics;
use Gravik\Time\Meter;
use Gravik\Time\Tempo;

/** A sung melody as it is typed: "D4 F4 | A4", bar by bar, an octave or two higher where that brings it to the middle of the neck. */
final readonly class SungMelody
{
    /** Its middle lies from here on, MIDI. */
    private const MIDDLE = 59;

    /** A note so little before the bar line belongs to the next bar, in beats. */
    private const EARLY = 0.3;

    /**
     * @param non-empty-list<SungNote> $notes
     * @param float                    $firstBeat seconds of bar 1 beat 1
     */
    public static function typed(array $notes, Meter $meter, Tempo $tempo, float $firstBeat, Key $key): string
    {
        $middle = Statistics::median(array_map(static fn (SungNote $note): float => $note->midi, $notes));
        $higher = 12 * (int) ceil((self::MIDDLE - $middle) / 12);
        $bars = [];
        foreach ($notes as $note) {
            $beats = ($note->t - $firstBeat) / $tempo->beatSeconds() + self::EARLY;
            $bars[max(0, (int) floor($beats / $meter->beats()))][] = $key->noteWords($note->midi + $higher);
        }
        $typed = [];
        $held = [$bars[min(array_keys($bars))][0]];
        for ($bar = 0; $bar <= max(array_keys($bars)); $bar++) {
            // Over a bar in which nothing begins the last note goes on.
            $typed[] = implode(' ', $bars[$bar] ?? $held);
            $held = array_slice($bars[$bar] ?? $held, -1);
        }

        return implode(' | ', $typed);
    }
}
