<?php

declare(strict_types=1);

namespace Gravik\Strokes\Hand\Internal;

use Gravik\Strokes\Stroke;
use Gravik\Strokes\Zone;

/**
 * Where the pick is after a stroke: the number of the one string it plays, or of the middle of a zone; a whole strum
 * leaves it anywhere.
 *
 * @internal
 */
final class StringPlace
{
    private const OF_ZONE = ['bass' => 6.0, 'low' => 5.0, 'middle' => 3.5, 'high' => 2.0];

    /** @return ?float string number, 1 = highest; null for a strum over all strings */
    public static function of(Stroke $stroke): ?float
    {
        return is_array($stroke->strings)
            ? array_sum($stroke->strings) / max(1, count($stroke->strings))
            : ($stroke->strings === Zone::All ? null : self::OF_ZONE[$stroke->strings->value]);
    }
}
