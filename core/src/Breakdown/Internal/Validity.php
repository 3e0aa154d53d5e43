<?php

declare(strict_types=1);

namespace Gravik\Breakdown\Internal;

use Gravik\Band\BandPart;
use Gravik\Band\Instrument;
use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\BreakdownNotValid;
use Gravik\Breakdown\Cell;
use Gravik\Breakdown\Failure\EndingTimeNotPossible;
use Gravik\Breakdown\Failure\EndingWithoutRepeat;
use Gravik\Breakdown\Failure\FigureOffTheStrings;
use Gravik\Breakdown\Failure\GenreTooLong;
use Gravik\Breakdown\Failure\GrooveMeterDiffers;
use Gravik\Breakdown\Failure\IdNotReadable;
use Gravik\Breakdown\Failure\IdTwice;
use Gravik\Breakdown\Failure\IdUnknown;
use Gravik\Breakdown\Failure\NoGuitar;
use Gravik\Breakdown\Failure\PatternMeterDiffers;
use Gravik\Breakdown\Failure\SongNotPlayable;
use Gravik\Breakdown\Failure\StandInNotPossible;
use Gravik\Breakdown\Failure\TitleOutOfRange;
use Gravik\Breakdown\Failure\TooManyOfOneKind;
use Gravik\Breakdown\Pass;
use Gravik\Chart\ChartException;
use Gravik\Chart\Ending;
use Gravik\Chart\FormEntry;
use Gravik\Chart\Move;
use Gravik\Chart\Section;
use Gravik\Neck\Neck;
use Gravik\Strokes\NamedPattern;

/**
 * What a breakdown must be beyond its values' own rules: every id resolves, meters agree, endings have a repeat, and all of
 * it can be played. Places are told as JSON pointers into the document.
 *
 * @internal used by Breakdown
 */
final readonly class Validity
{
    private function __construct(private Breakdown $breakdown) {}

    /** @throws BreakdownNotValid */
    public static function check(Breakdown $breakdown): void
    {
        $self = new self($breakdown);
        $self->words();
        $self->counts();
        $self->ids();
        $self->standIns();
        $self->endings();
        $self->cells();
        $self->moves();
        $self->figures();
        $self->strings();
        $self->band();
        $self->length();
    }

    private function length(): void
    {
        try {
            $this->breakdown->written();
        } catch (ChartException $tooLong) {
            throw new SongNotPlayable('/sections', $tooLong);
        }

        try {
            $this->breakdown->course();
        } catch (ChartException $tooLong) {
            throw new SongNotPlayable('/passes', $tooLong);
        }
    }

    private function words(): void
    {
        if (trim($this->breakdown->title) === '' || mb_strlen($this->breakdown->title) > 120) {
            throw new TitleOutOfRange();
        }
        if (mb_strlen($this->breakdown->genre) > 80) {
            throw new GenreTooLong();
        }
    }

    private function counts(): void
    {
        foreach (Breakdown::MOST as $list => $most) {
            if (count($this->breakdown->{$list}) > $most) {
                throw new TooManyOfOneKind($list, count($this->breakdown->{$list}), $most);
            }
        }
    }

    private function ids(): void
    {
        foreach (['sections', 'patterns', 'lines', 'parts', 'passes', 'moves', 'figures'] as $list) {
            $seen = [];
            foreach ($this->breakdown->{$list} as $place => $each) {
                if (preg_match('/^[\w-]{1,40}$/', $each->id) !== 1) {
                    throw new IdNotReadable("/{$list}/{$place}/id", $each->id);
                }
                if (isset($seen[$each->id])) {
                    throw new IdTwice("/{$list}/{$place}/id", $each->id);
                }
                $seen[$each->id] = true;
            }
        }
        foreach ($this->breakdown->form as $place => $entry) {
            $this->has('sections', $entry->section, "/form/{$place}/section");
            foreach ($entry->passes ?? [] as $each => $pass) {
                $this->has('passes', $pass, "/form/{$place}/passes/{$each}");
            }
        }
        foreach ($this->breakdown->lines as $line => $each) {
            foreach ($each->pins as $pin => $held) {
                $this->has('sections', $held->at->section, "/lines/{$line}/pins/{$pin}/at/section");
            }
        }
    }

    /** What stands in where the guitar is alone stands in for something that is there, in its meter, and not for another stand-in. */
    private function standIns(): void
    {
        foreach (['patterns', 'lines'] as $list) {
            foreach ($this->breakdown->{$list} as $place => $each) {
                if ($each->aloneOf === null) {
                    continue;
                }
                $this->has($list, $each->aloneOf, "/{$list}/{$place}/aloneOf");
                foreach ($this->breakdown->{$list} as $for) {
                    $fits = $for->id !== $each->aloneOf || ($for->aloneOf === null
                        && (! $each instanceof NamedPattern || ! $for instanceof NamedPattern || $for->pattern->meter->equals($each->pattern->meter)));
                    if (! $fits) {
                        throw new StandInNotPossible("/{$list}/{$place}/aloneOf", $each->id, $each->aloneOf);
                    }
                }
            }
        }
    }

    /** Every time that an ending names comes in a pass, every pass is there, and a section with endings comes more than once. */
    private function endings(): void
    {
        foreach ($this->breakdown->sections as $place => $section) {
            $comes = array_sum(array_map(
                static fn (FormEntry $entry): int => $entry->section === $section->id ? $entry->times : 0,
                $this->breakdown->form,
            ));
            $byPass = array_filter($section->endings, static fn (Ending $each): bool => $each->passes !== []) !== [];
            $taken = [];
            foreach ($section->endings as $number => $ending) {
                foreach ($ending->passes as $each => $pass) {
                    $this->has('passes', $pass, "/sections/{$place}/endings/{$number}/passes/{$each}");
                }
                if ($comes < 2 && ! $byPass) {
                    throw new EndingWithoutRepeat("/sections/{$place}/endings/{$number}", $section->name);
                }
                foreach ($ending->times as $time) {
                    if ($time > $comes || isset($taken[$time])) {
                        throw new EndingTimeNotPossible("/sections/{$place}/endings/{$number}/times", $section->name, $time, $comes);
                    }
                    $taken[$time] = true;
                }
            }
        }
    }

    private function cells(): void
    {
        foreach ($this->breakdown->cells as $number => $cell) {
            $this->cell($cell, "/cells/{$number}");
        }
        foreach ($this->breakdown->passes as $place => $pass) {
            foreach ($pass->cells as $number => $cell) {
                $this->cell($cell, "/passes/{$place}/cells/{$number}");
            }
        }
        $cells = Cells::of($this->breakdown);
        foreach ($this->breakdown->sections as $section) {
            $cells->playing($this->breakdown->passes[0]->id, $section->id, $this->guitar()->id, 1);
        }
    }

    private function cell(Cell $cell, string $pointer): void
    {
        $this->has('parts', $cell->part, "{$pointer}/part");
        if ($cell->section !== null) {
            $this->has('sections', $cell->section, "{$pointer}/section");
        }
        if ($cell->line !== null) {
            $this->has('lines', $cell->line, "{$pointer}/line");
        }
        if ($cell->pattern === null) {
            return;
        }
        $this->has('patterns', $cell->pattern, "{$pointer}/pattern");
        foreach ($this->breakdown->sections as $section) {
            $meter = $section->setting($this->breakdown->start)->meter;
            foreach ($this->breakdown->patterns as $pattern) {
                if ($cell->section === $section->id && $cell->pattern === $pattern->id && ! $pattern->pattern->meter->equals($meter)) {
                    throw new PatternMeterDiffers(
                        "{$pointer}/pattern",
                        $pattern->pattern->meter->text(),
                        $section->name,
                        $meter->text(),
                    );
                }
            }
        }
    }

    private function moves(): void
    {
        foreach ($this->breakdown->placed as $number => $placed) {
            $this->has('sections', $placed->at->section, "/placed/{$number}/at/section");
            foreach ($placed->passes ?? [] as $place => $pass) {
                $this->has('passes', $pass, "/placed/{$number}/passes/{$place}");
            }
        }
    }

    /** Figures are told from moves by their ids, lie in sections and passes that are there, and in their meter. */
    private function figures(): void
    {
        $moves = array_map(static fn (Move $move): string => $move->id, $this->breakdown->moves);
        $strings = $this->breakdown->neck->tuning->strings();
        foreach ($this->breakdown->figures as $number => $figure) {
            if (in_array($figure->id, $moves, true)) {
                throw new IdTwice("/figures/{$number}/id", $figure->id);
            }
            foreach (array_merge([], ...array_merge([], ...$figure->notes)) as $note) {
                if ($note->string > $strings) {
                    throw new FigureOffTheStrings("/figures/{$number}", $note->string, $strings);
                }
            }
        }
        foreach ($this->breakdown->played as $number => $played) {
            $pointer = '/placed/'.(count($this->breakdown->placed) + $number);
            $this->has('sections', $played->at->section, "{$pointer}/at/section");
            foreach ($played->fixed as $place => $note) {
                if ($note->string > $strings) {
                    throw new FigureOffTheStrings("{$pointer}/fixed/{$place}/string", $note->string, $strings);
                }
            }
            foreach ($played->passes ?? [] as $place => $pass) {
                $this->has('passes', $pass, "{$pointer}/passes/{$place}");
            }
            foreach ($played->parts ?? [] as $place => $part) {
                $this->has('parts', $part, "{$pointer}/parts/{$place}");
            }
            foreach ($this->breakdown->sections as $section) {
                $meter = $section->setting($this->breakdown->start)->meter;
                if ($section->id === $played->at->section && ! $played->figure->pattern->meter->equals($meter)) {
                    throw new PatternMeterDiffers($pointer, $played->figure->pattern->meter->text(), $section->name, $meter->text());
                }
            }
        }
    }

    private function strings(): void
    {
        foreach ($this->breakdown->lines as $line) {
            if ($line->wishes->strings !== '') {
                Neck::parseStrings($line->wishes->strings, $this->breakdown->neck->tuning->strings());
            }
        }
    }

    private function band(): void
    {
        $this->guitar();
        foreach ($this->breakdown->parts as $place => $part) {
            foreach ($part->tune->passes ?? [] as $each => $pass) {
                $this->has('passes', $pass, "/parts/{$place}/tune/passes/{$each}");
            }
            if ($part->groove !== null && ! $part->groove->meter->equals($this->breakdown->start->meter)) {
                throw new GrooveMeterDiffers(
                    "/parts/{$place}/groove",
                    $part->groove->name,
                    $part->groove->meter->text(),
                    $this->breakdown->start->meter->text(),
                );
            }
        }
    }

    private function guitar(): BandPart
    {
        foreach ($this->breakdown->parts as $part) {
            if ($part->instrument === Instrument::Guitar) {
                return $part;
            }
        }

        throw new NoGuitar();
    }

    /** @param 'sections'|'patterns'|'lines'|'parts'|'passes' $list */
    private function has(string $list, string $id, string $pointer): void
    {
        /** @var list<Section|Pass|BandPart> $known */
        $known = $this->breakdown->{$list};
        foreach ($known as $each) {
            if ($each->id === $id) {
                return;
            }
        }

        throw new IdUnknown($pointer, $id, $list);
    }
}
