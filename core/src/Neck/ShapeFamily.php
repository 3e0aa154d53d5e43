<?php

declare(strict_types=1);

namespace Gravik\Neck;

/** The open grip a movable grip comes from (E A D G C), and the fret and string where its root lies, played or imagined. */
final readonly class ShapeFamily
{
    /** letter => [string of the root, frets from the root down to the bar of the shape, how far behind the commoner shapes it stands] */
    private const SHAPES = ['E' => [6, 0, 0.0], 'A' => [5, 0, 0.0], 'D' => [4, 0, 0.1], 'C' => [5, 3, 0.2], 'G' => [6, 3, 0.5]];

    /** A grip that reaches one fret below the bar still sits in that shape: the rootless ninth box does. */
    private const ONE_FRET_BELOW = 0.3;

    private const IMAGINED_ROOT = 0.4;

    public function __construct(public string $letter, public int $rootString, public int $rootFret) {}

    /**
     * The family whose four-fret box holds the grip best; where two do, the one whose root is played, then the commoner.
     *
     * @param list<int|null> $frets low to high, six strings in the standard intervals
     * @param list<int>      $openMidi
     */
    public static function of(array $frets, array $openMidi, int $rootPitchClass): ?self
    {
        $fretted = array_filter($frets, static fn (?int $fret): bool => $fret !== null);
        if ($fretted === []) {
            return null;
        }
        [$lowest, $highest] = [min($fretted), max($fretted)];
        $best = null;
        $least = INF;
        foreach (self::SHAPES as $letter => [$string, $below, $rarity]) {
            $first = ($rootPitchClass - $openMidi[6 - $string] % 12 + 24) % 12;
            foreach ([$first, $first + 12] as $rootFret) {
                $bar = $rootFret - $below;
                $under = $bar - $lowest;
                $outside = ($under === 1 ? self::ONE_FRET_BELOW : max(0, $under)) + max(0, $highest - $bar - 3);
                $cost = $outside + $rarity + ($frets[6 - $string] === $rootFret ? 0.0 : self::IMAGINED_ROOT) + ($bar < 0 ? 9 : 0);
                if ($cost < $least) {
                    [$best, $least] = [new self($letter, $string, $rootFret), $cost];
                }
            }
        }

        return $best;
    }
}
