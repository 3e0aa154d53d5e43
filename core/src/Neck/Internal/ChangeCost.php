<?php

declare(strict_types=1);

namespace Gravik\Neck\Internal;

use Gravik\Neck\Neck;
use Gravik\Neck\PathWeights;
use Gravik\Neck\Voicing;

/**
 * What it costs to go from one grip to the next. Grips are unpacked once, since a path weighs thousands of pairs.
 *
 * @internal used by PathFinder
 */
final readonly class ChangeCost
{
    private const SLIDE_SHARE = 1 / 3;

    public function __construct(private Neck $neck, private PathWeights $weights) {}

    /**
     * A grip as the cost looks at it.
     *
     * @return array{mm: ?float, top: int, fingers: array<int, array{int, int}>} fingers: finger => [its lowest string index, fret]
     */
    public function unpacked(Voicing $voicing): array
    {
        $fingers = [];
        foreach ($voicing->fingers as $string => $finger) {
            if ($finger !== null && $finger > 0 && ! isset($fingers[$finger])) {
                $fingers[$finger] = [$string, (int) $voicing->frets[$string]];
            }
        }

        return ['mm' => $voicing->position === 0 ? null : $this->neck->tipMm($voicing->position), 'top' => $voicing->topMidi(), 'fingers' => $fingers];
    }

    /**
     * The cost of the change alone, without the grips' own difficulty.
     *
     * @param array{mm: ?float, top: int, fingers: array<int, array{int, int}>} $from
     * @param array{mm: ?float, top: int, fingers: array<int, array{int, int}>} $to
     */
    public function between(array $from, array $to): float
    {
        $travel = $from['mm'] === null || $to['mm'] === null ? 0.0 : abs($to['mm'] - $from['mm']) / 100;
        $changes = 0.0;
        foreach ($to['fingers'] as $finger => [$string, $fret]) {
            $before = $from['fingers'][$finger] ?? null;
            if ($before === null) {
                $changes += 1;
            } elseif ($before[0] !== $string) {
                $changes += 1;
            } elseif ($before[1] !== $fret) {
                $changes += self::SLIDE_SHARE;
            }
        }

        return $this->weights->shift * $travel + $this->weights->fingers * $changes + $this->weights->top * abs($to['top'] - $from['top']);
    }
}
