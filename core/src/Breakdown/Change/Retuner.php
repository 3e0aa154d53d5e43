<?php

declare(strict_types=1);

namespace Gravik\Breakdown\Change;

use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\Toolbox;
use Gravik\Chart\Pin;
use Gravik\Neck\Neck;
use Gravik\Neck\Tuning;
use Gravik\Neck\TuningConverter;

/** Puts a breakdown in another tuning: every grip of its line goes over, with the same notes where a hand can hold them. */
final readonly class Retuner
{
    public function retune(Breakdown $breakdown, Tuning $tuning): Breakdown
    {
        $neck = new Neck($tuning, $breakdown->neck->capo);
        $retuned = $breakdown->with(neck: $neck, pins: [], wishes: $breakdown->wishes->onStrings($tuning->strings()));
        $converter = new TuningConverter($neck, Toolbox::of($retuned)->finder());
        $voiced = Toolbox::of($breakdown)->voiced();
        $pins = [];
        foreach ($voiced->form->chords as $place => $chord) {
            $grip = $converter->convert($voiced->path->voicings[$place]);
            $pins[] = new Pin($chord->section, $chord->bar, $chord->at, $chord->chord->text(), $grip->frets);
        }

        return $retuned->with(pins: $pins);
    }
}
