<?php

declare(strict_types=1);

namespace Gravik\Chart;

use Gravik\Neck\Neck;

/**
 * All that the grips of a line depend on, as one short text: whoever keeps them finds them again by it, while tempo, feel,
 * strokes and the band change from one key press to the next.
 */
final readonly class GripsKey
{
    /** Raised with every change of the search or its costs, so that nobody finds yesterday's grips. */
    private const RULES = 'seventh';

    public static function of(Form $form, Neck $neck, VoicingLine $line): string
    {
        return hash('xxh128', serialize([
            self::RULES,
            array_map(static fn (FormChord $chord): array => [$chord->at, $chord->chord->text()], $form->chords),
            $neck->tuning->slug, $neck->capo, $line->company, $line->pins, $line->wishes,
        ]));
    }
}
