<?php

declare(strict_types=1);

namespace Gravik\Handout;

/** What can stand on the page. */
enum Part: string
{
    case Chart = 'chart';
    case Grips = 'grips';
    case Hand = 'hand';
    case Figures = 'figures';
    case Stages = 'stages';
    case Passes = 'passes';
    case Notes = 'notes';
    case Marks = 'marks';
    case Cautions = 'cautions';

    public function words(): string
    {
        return match ($this) {
            self::Chart => 'Chart',
            self::Grips => 'Grips',
            self::Hand => 'Hand',
            self::Figures => 'Figures',
            self::Stages => 'Stages',
            self::Passes => 'Passes',
            self::Notes => 'Notes',
            self::Marks => 'Unsure, or either way',
            self::Cautions => 'Cautions',
        };
    }

    /** What of the song it shows. */
    public function shows(): string
    {
        return match ($this) {
            self::Chart => 'sections, endings, bar numbers',
            self::Grips => 'degrees, fingers, nicknames',
            self::Hand => 'the arm, counts, lengths',
            self::Figures => 'tab of every figure',
            self::Stages => 'boxes to tick, tempos',
            self::Passes => 'what each chorus does otherwise',
            self::Notes => 'the teacher’s own words',
            self::Marks => 'both values side by side',
            self::Cautions => 'strings, hands, ears',
        };
    }
}
