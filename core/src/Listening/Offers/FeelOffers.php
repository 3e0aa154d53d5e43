<?php

declare(strict_types=1);

namespace Gravik\Listening\Offers;

use Gravik\Breakdown\Change\PatternChanger;
use Gravik\Breakdown\Desk;
use Gravik\Listening\Feel\FeelPattern;
use Gravik\Listening\Feel\FeelReading;
use Gravik\Strokes\Written\CountLine;
use Gravik\Time\FeelWords;

/**
 * What a breakdown could take over of a feel that was heard, each with what it has now; the meter goes along with the strokes
 * counted in it.
 */
final readonly class FeelOffers
{
    /** @return list<FeelOffer> */
    public static function of(FeelReading $reading, Desk $desk): array
    {
        $start = $desk->breakdown->start;
        $tempo = $reading->tempo();
        $feel = $reading->feel();
        $pattern = FeelPattern::of($reading);
        $offers = [new FeelOffer(
            'Tempo',
            $tempo->bpm.' bpm',
            $start->tempo->bpm.' bpm',
            $desk->breakdown->with(start: $start->with(tempo: $tempo)),
        )];
        if ($feel !== null) {
            $offers[] = new FeelOffer(
                'Feel',
                FeelWords::of($feel, $tempo),
                FeelWords::of($desk->setting->feel, $start->tempo),
                $desk->withFeel($feel),
            );
        }
        if ($pattern !== null) {
            $inMeter = $reading->meter->equals($desk->setting->meter)
                ? $desk
                : $desk->in((new PatternChanger())->meter($desk->breakdown, $reading->meter));
            $offers[] = new FeelOffer('Strokes', CountLine::write($pattern), CountLine::write($desk->pattern()), $inMeter->with($pattern));
        }

        return $offers;
    }
}
