<?php

declare(strict_types=1);

namespace Gravik\Performance\Internal;

use Gravik\Strokes\Contact;
use Gravik\Strokes\OrnamentKind;
use Gravik\Strokes\Stroke;

/**
 * How fast the pick crosses the strings: 3 to 12 ms from one to the next, harder strokes faster, a rake and a drag slower,
 * a pinch or a slap not at all. The whole sweep takes at most half the gap to the next stroke.
 *
 * @internal
 */
final readonly class Sweep
{
    /** ms between neighbouring strings by accent */
    private const BY_ACCENT = [10.0, 8.0, 6.0, 4.5];

    private const RAKE_MS = 20.0;

    private const DRAG_MS = 30.0;

    /** @param float $gap seconds to the next stroke */
    public static function secondsBetweenStrings(Stroke $stroke, int $strings, float $gap): float
    {
        if ($strings < 2) {
            return 0.0;
        }
        $ms = $stroke->ornament?->kind === OrnamentKind::Drag ? self::DRAG_MS : match ($stroke->contact()) {
            Contact::Across => self::BY_ACCENT[$stroke->accent],
            Contact::Together => 0.0,
            Contact::Dragged => self::RAKE_MS,
        };

        return min($ms / 1000, $gap / 2 / ($strings - 1));
    }
}
