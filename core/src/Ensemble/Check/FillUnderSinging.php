<?php

declare(strict_types=1);

namespace Gravik\Ensemble\Check;

use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\Change\FigurePlacer;
use Gravik\Breakdown\PlacedFigure;
use Gravik\Chart\Section;
use Gravik\Chart\SungWords;
use Gravik\Ensemble\Check;
use Gravik\Ensemble\Clash;
use Gravik\Ensemble\ClashKind;
use Gravik\Ensemble\Heard;
use Gravik\Ensemble\Mend;

/** A figure of the guitar in a bar over which words are sung. */
final readonly class FillUnderSinging implements Check
{
    private const SEVERITY = 0.6;

    public function kind(): ClashKind
    {
        return ClashKind::FillUnderSinging;
    }

    public function missing(Heard $heard): ?string
    {
        $words = array_filter($heard->breakdown->sections, static fn (Section $section): bool => $section->words !== []);

        return $words === [] ? 'no words are written over the bars' : null;
    }

    public function find(Heard $heard): array
    {
        $clashes = [];
        foreach ($heard->breakdown->played as $placed) {
            $over = $this->words($heard, $placed);
            if ($over === null || array_filter($placed->figure->notes) === []) {
                continue;
            }
            foreach ($heard->visitsWhere(static fn (int $bar): bool => $placed->isPlayedIn($heard->visit($bar))
                && $heard->timeline->course->bars[$bar]->inVisit === $placed->at->bar) as $bars) {
                $pass = $heard->visit($bars[0])->pass;
                $clashes[] = new Clash(
                    $this->kind(),
                    sprintf(
                        'In %s the guitar plays “%s” under “%s”. Leave the words clear.',
                        $heard->barWords($bars[0]),
                        $placed->figure->name === '' ? $placed->figure->id : $placed->figure->name,
                        $over->text,
                    ),
                    self::SEVERITY,
                    [$heard->breakdown->guitar()->id],
                    $bars,
                    [],
                    [
                        new Mend(
                            'Leave the fill out there',
                            static fn (): Breakdown => (new FigurePlacer())->clear($heard->breakdown, $placed->at, [$pass]),
                        ),
                    ],
                );
            }
        }

        return $clashes;
    }

    /** What is sung in the bar of a figure: the words that begin in it, or went on from the bar before. */
    private function words(Heard $heard, PlacedFigure $placed): ?SungWords
    {
        foreach ($heard->breakdown->sections as $section) {
            foreach ($section->id === $placed->at->section && $placed->at->ending === null ? $section->words : [] as $words) {
                if ($words->bar === $placed->at->bar) {
                    return $words;
                }
            }
        }

        return null;
    }
}
