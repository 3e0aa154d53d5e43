<?php

declare(strict_types=1);

namespace Gravik\Neck\Line\Internal;

use Gravik\Neck\Grip\Voicing;
use Gravik\Neck\Line\BassMotion;
use Gravik\Neck\Line\PathWishes;
use Gravik\Neck\Neck;

/**
 * What it costs to go from one grip to the next. Grips are unpacked once, since a path weighs thousands of pairs.
 *
 * @internal used by PathFinder
 */
final readonly class ChangeCost
{
    private const SLIDE_SHARE = 1 / 3;

    private const ANOTHER_SHAPE = 1.5;

    public function __construct(private Neck $neck, private PathWishes $wishes) {}

    /**
     * A grip as the cost looks at it.
     *
     * @return array{mm: ?float, top: int, bass: int, shape: string, fingers: array<int, array{int, int}>} fingers: finger => [its lowest string index, fret]
     */
    public function unpacked(Voicing $voicing): array
    {
        $fingers = [];
        foreach ($voicing->fingers as $string => $finger) {
            if ($finger !== null && $finger > 0 && ! isset($fingers[$finger])) {
                $fingers[$finger] = [$string, (int) $voicing->frets[$string]];
            }
        }

        return [
            'mm' => $voicing->position === 0 ? null : $this->neck->tipMm($voicing->position),
            'top' => $voicing->topMidi(),
            'bass' => $voicing->bassMidi(),
            'shape' => $voicing->shape(),
            'fingers' => $fingers,
        ];
    }

    /**
     * The cost of the change alone, without the grips' own difficulty; INF where what is asked for forbids it.
     *
     * @param array{mm: ?float, top: int, bass: int, shape: string, fingers: array<int, array{int, int}>} $from
     * @param array{mm: ?float, top: int, bass: int, shape: string, fingers: array<int, array{int, int}>} $to
     */
    public function between(array $from, array $to): float
    {
        if ($this->wishes->bass === BassMotion::Stepwise && abs($to['bass'] - $from['bass']) > BassMotion::STEP) {
            return INF;
        }
        $weights = $this->wishes->weights;
        // Neck::travelMm, with both places worked out once for the many changes that are compared.
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

        return $weights->shift * $travel + $weights->fingers * $changes + $weights->top * abs($to['top'] - $from['top'])
            + ($this->wishes->parallel && $from['shape'] !== $to['shape'] ? self::ANOTHER_SHAPE : 0.0);
    }
}
