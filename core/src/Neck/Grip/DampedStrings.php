<?php

declare(strict_types=1);

namespace Gravik\Neck\Grip;

use Gravik\Neck\HandProfile;

/** Which finger keeps each silent string of a grip from sounding. */
final readonly class DampedStrings
{
    /** @return array<int, string> string number => what damps it; a string far from every finger is left to the pick hand */
    public static function of(Voicing $grip): array
    {
        $count = count($grip->frets);
        $damped = [];
        foreach ($grip->frets as $string => $fret) {
            if ($fret === null) {
                $damped[$count - $string] = self::barreOver($grip, $count - $string)
                    ?? self::finger($grip, $string - 1, 'tip of')
                    ?? self::finger($grip, $string + 1, 'underside of')
                    ?? ($string === 0 || ($grip->frets[0] === null && $string === 1 && ! in_array(
                        HandProfile::THUMB,
                        $grip->fingers,
                        true,
                    )) ? 'thumb' : 'pick hand');
            }
        }

        return $damped;
    }

    private static function barreOver(Voicing $grip, int $number): ?string
    {
        foreach ($grip->barres as $barre) {
            if ($barre->from > $number && $number > $barre->to) {
                $finger = $grip->fingers[count($grip->frets) - $barre->from];

                return "barre of finger {$finger}";
            }
        }

        return null;
    }

    private static function finger(Voicing $grip, int $string, string $part): ?string
    {
        $finger = $grip->fingers[$string] ?? null;

        return match (true) {
            $finger === null || $finger === 0 => null,
            $finger === HandProfile::THUMB => 'thumb',
            default => "{$part} finger {$finger}",
        };
    }
}
