<?php

declare(strict_types=1);

namespace Gravik\Time;

/** A feel as a list shows it: "straight", "67 % swing". */
final readonly class FeelWords
{
    private const AS_GOOD_AS_STRAIGHT = 0.01;

    public static function of(Feel $feel, Tempo $tempo): string
    {
        $ratio = $feel->ratioAt($tempo);
        if (abs($ratio - 1) < self::AS_GOOD_AS_STRAIGHT) {
            return 'straight';
        }

        $unit = $feel->unit === SwingUnit::Sixteenth ? ' on sixteenths' : '';

        return sprintf('%d %% swing%s', (int) round(100 * Swing::share($ratio)), $unit);
    }
}
