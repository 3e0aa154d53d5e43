<?php

declare(strict_types=1);

namespace Gravik\Performance\Internal;

use Gravik\Neck\Grip\Voicing;
use Gravik\Strokes\Direction;
use Gravik\Strokes\Stroke;
use Gravik\Strokes\Zone;

/**
 * The strings a stroke meets on a grip, in the order the pick meets them.
 *
 * @internal
 */
final readonly class ZoneStrings
{
    /** @return list<int> indexes from the lowest string (0); empty when the grip mutes all of them */
    public static function of(Stroke $stroke, Voicing $voicing): array
    {
        $count = count($voicing->frets);
        $sounding = array_keys(array_filter($voicing->frets, static fn (?int $fret): bool => $fret !== null));
        $half = intdiv(count($sounding), 2);
        $struck = match (true) {
            is_array($stroke->strings) => array_values(array_intersect(
                $sounding,
                array_map(static fn (int $number): int => $count - $number, $stroke->strings),
            )),
            $stroke->strings === Zone::Bass => array_slice($sounding, 0, 1),
            $stroke->strings === Zone::Low => array_slice($sounding, 0, max(1, $half)),
            $stroke->strings === Zone::High => array_slice($sounding, $half),
            $stroke->strings === Zone::Middle => count($sounding) > 2 ? array_slice($sounding, 1, -1) : $sounding,
            default => $sounding,
        };

        return $stroke->direction === Direction::Up ? array_reverse($struck) : $struck;
    }
}
