<?php

declare(strict_types=1);

namespace Gravik\Breakdown\Change;

use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\Toolbox;
use Gravik\Chart\Pin;
use Gravik\Chart\VoicingLine;
use Gravik\Neck\Line\TuningConverter;
use Gravik\Neck\Neck;
use Gravik\Neck\Tuning;

/** Puts a breakdown in another tuning: every grip of its lines goes over, with the same notes where a hand can hold them. */
final readonly class Retuner
{
    public function retune(Breakdown $breakdown, Tuning $tuning): Breakdown
    {
        $neck = new Neck($tuning, $breakdown->neck->capo);
        $lines = array_map(
            static fn (VoicingLine $line): VoicingLine => $line->with(pins: [], wishes: $line->wishes->onStrings($tuning->strings())),
            $breakdown->lines,
        );
        $retuned = (new FigureFitter())->onto($breakdown, $neck, $lines);
        $full = [];
        foreach ($breakdown->lines as $number => $line) {
            $converter = new TuningConverter($neck, Toolbox::of($retuned, $lines[$number])->finder());
            $voiced = Toolbox::of($breakdown, $line)->voiced();
            $pins = [];
            foreach ($voiced->form->chords as $place => $chord) {
                $pins[] = new Pin($chord->at, $chord->chord->text(), $converter->convert($voiced->path->voicings[$place])->frets);
            }
            $full[] = $lines[$number]->with(pins: $pins);
        }

        return $retuned->with(lines: $full);
    }
}
