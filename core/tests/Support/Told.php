<?php

declare(strict_types=1);

namespace Gravik\Tests\Support;

use Gravik\Breakdown\Breakdown;
use Gravik\Performance\Performer;
use Gravik\Performance\PlayedStroke;
use Gravik\Strokes\OrnamentKind;

/** What a song plays, in figures that two songs can be held against each other by. */
final readonly class Told
{
    /** @return list<array{int, bool, ?string, string}> tick, dead, direction, strings and frets of every stroke */
    public static function strokes(Breakdown $song, bool $deadFrets = true): array
    {
        return array_map(static function (PlayedStroke $stroke) use ($deadFrets): array {
            $frets = [];
            foreach ($stroke->strings as $place => $string) {
                $move = $stroke->stroke->isDead() ? null : $stroke->ornaments[$place] ?? $stroke->stroke->ornament;
                $told = $move === null || $move->kind === OrnamentKind::Drag ? '' : "{$move->kind->value}{$move->frets}";
                $frets[] = $string.':'.$stroke->voicing->frets[$string].$told;
            }
            sort($frets);

            return [$stroke->tick, $stroke->stroke->isDead(), $stroke->stroke->direction?->value,
                $stroke->stroke->isDead() && ! $deadFrets ? '' : implode(' ', $frets)];
        }, (new Performer())->perform($song)->strokes);
    }

    /** @return list<array{int, string}> tick and symbol of every chord */
    public static function chords(Breakdown $song): array
    {
        return array_map(static fn ($chord): array => [$chord->tick, $chord->chord->text()], $song->course()->chords);
    }
}
