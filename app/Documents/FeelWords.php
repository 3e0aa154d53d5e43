<?php

declare(strict_types=1);

namespace App\Documents;

use Gravik\Time\Feel;
use Gravik\Time\Swing;
use Gravik\Time\SwingUnit;
use Gravik\Time\Tempo;

/** A feel as a list shows it: "straight", "67 % swing". */
final class FeelWords
{
    public static function of(Feel $feel, Tempo $tempo): string
    {
        $ratio = $feel->ratioAt($tempo);
        if (abs($ratio - 1) < 0.01) {
            return 'straight';
        }

        return sprintf('%d %% swing%s', (int) round(100 * Swing::share($ratio)), $feel->unit === SwingUnit::Sixteenth ? ' on sixteenths' : '');
    }
}
