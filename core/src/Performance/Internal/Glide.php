<?php

declare(strict_types=1);

namespace Gravik\Performance\Internal;

use Gravik\Strokes\Ornament;
use Gravik\Strokes\OrnamentKind;

/**
 * How an ornament moves a note's pitch: points of [seconds from its start, semitones from its pitch], joined by straight
 * lines. Times are rules of thumb.
 *
 * @internal used by Performer
 */
final class Glide
{
    private const SLIDE_IN = 0.09;

    private const SLIDE_OUT = 0.13;

    private const HAMMER = 0.075;

    private const GRACE = 0.045;

    /** A finger comes down or off within this time. */
    private const STEP = 0.004;

    private const BEND = 2;

    private const BEND_UP = 0.12;

    private const VIBRATO_HZ = 5.5;

    private const VIBRATO_SEMITONES = 0.35;

    /** @return list<array{float, float}> empty where the pitch stays */
    public static function of(?Ornament $ornament, float $dur): array
    {
        if ($ornament === null) {
            return [];
        }
        $frets = (float) $ornament->frets;
        $bend = $frets === 0.0 ? (float) self::BEND : $frets;

        return match ($ornament->kind) {
            OrnamentKind::SlideIn => [[0.0, $frets], [min(self::SLIDE_IN, $dur / 2), 0.0]],
            OrnamentKind::SlideOut => [[0.0, 0.0], [max(0.0, $dur - self::SLIDE_OUT), 0.0], [$dur, $frets]],
            OrnamentKind::HammerOn, OrnamentKind::PullOff => self::step($frets, min(self::HAMMER, $dur / 2)),
            OrnamentKind::Grace => self::step($frets, min(self::GRACE, $dur / 2)),
            OrnamentKind::BendRelease => [[0.0, 0.0], [0.25 * $dur, $bend], [0.6 * $dur, 0.0]],
            OrnamentKind::Bend => [[0.0, 0.0], [min(self::BEND_UP, $dur / 2), $bend]],
            OrnamentKind::Bent => [[0.0, $bend]],
            OrnamentKind::Release => [[0.0, $bend], [min(self::BEND_UP, $dur / 2), 0.0]],
            OrnamentKind::Vibrato => self::vibrato($dur),
            OrnamentKind::Drag => [],
        };
    }

    /** @return list<array{float, float}> */
    private static function step(float $frets, float $at): array
    {
        return [[0.0, $frets], [$at, $frets], [$at + self::STEP, 0.0]];
    }

    /** @return list<array{float, float}> */
    private static function vibrato(float $dur): array
    {
        $points = [[0.0, 0.0]];
        for ($turn = 1; $turn / (2 * self::VIBRATO_HZ) < $dur; $turn++) {
            $points[] = [$turn / (2 * self::VIBRATO_HZ), $turn % 2 === 1 ? self::VIBRATO_SEMITONES : 0.0];
        }

        return $points;
    }
}
