<?php

declare(strict_types=1);

namespace Gravik\Listening\Feel;

use Gravik\Strokes\Articulation;
use Gravik\Strokes\Pattern;
use Gravik\Strokes\Stream;
use Gravik\Strokes\Stroke;
use Gravik\Strokes\Written\CountLine;

/** Every bar of a recording as it is counted aloud, with accents and dead strokes. */
final readonly class HeardBars
{
    /** @return list<string> from the first bar to the last that has a stroke: "1 (&) 2! & …" */
    public static function counted(FeelReading $reading): array
    {
        $byBar = [];
        foreach ($reading->strokes as $stroke) {
            $byBar[$stroke->bar][$stroke->slot] ??= $stroke;
        }
        $counted = [];
        for ($bar = 0; $bar <= max([-1, ...array_keys($byBar)]); $bar++) {
            $strokes = [];
            foreach ($byBar[$bar] ?? [] as $slot => $heard) {
                $strokes[] = new Stroke(
                    $slot * intdiv($reading->meter->beatTicks(), $reading->grid),
                    $reading->grid,
                    articulation: $heard->muted === true ? Articulation::Chuck : Articulation::Ring,
                    accent: $heard->accent(),
                );
            }
            $counted[] = CountLine::write(new Pattern($reading->meter, $reading->meter->barTicks(), [new Stream('strum', $strokes)]));
        }

        return $counted;
    }
}
