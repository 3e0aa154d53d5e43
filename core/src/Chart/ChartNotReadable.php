<?php

declare(strict_types=1);

namespace Gravik\Chart;

use Gravik\CoreException;

final class ChartNotReadable extends \InvalidArgumentException implements CoreException
{
    private function __construct(string $message, public readonly ?int $at = null)
    {
        parent::__construct($message);
    }

    public static function tooLong(int $characters, int $most): self
    {
        return new self(sprintf(
            'A chord line of %d characters is too long to be one section; %d is the most. Split it into sections.',
            $characters,
            $most,
        ));
    }

    public static function tooManyBars(int $bars, int $most): self
    {
        return new self(sprintf('%d bars are more than one breakdown holds; %d is the most. Leave the repeats to the loop.', $bars, $most));
    }

    public static function sectionName(): self
    {
        return new self('A section needs a name of 1 to 40 characters, such as A, Verse or Intro.');
    }

    public static function approachSteps(int $steps, int $most): self
    {
        return new self(sprintf('An approach of %d grips cannot be played. Choose 1 to %d.', $steps, $most));
    }

    public static function approachSlot(int $ticks): self
    {
        return new self(sprintf(
            'A slot of %d ticks is too short or too long for an approach. Choose a sixteenth up to a whole note: 240 to 3840.',
            $ticks,
        ));
    }

    public static function noSplit(int $bar, int $bars): self
    {
        return new self($bars < 2
            ? 'A section of one bar cannot be split.'
            : sprintf('This section has %d bars: a second part can begin with bar 2 to %d, not with bar %d.', $bars, $bars, $bar + 1));
    }

    public static function place(): self
    {
        return new self('A place has a bar, and ticks from its bar line, from 0 on.');
    }

    public static function endingTimes(): self
    {
        return new self('An ending names the times of its section, from 1 on, each once.');
    }

    public static function formTimes(int $times, int $most): self
    {
        return new self(sprintf('A section played %d times in a row is not possible here: 1 to %d.', $times, $most));
    }

    public static function tooLongToPlay(int $most): self
    {
        return new self(sprintf('Played out, all passes with their repeats are more than %d bars. Take out passes or repeats.', $most));
    }

    public static function empty(): self
    {
        return new self('There are no chords in this line yet. Type bars between strokes, such as | Dm6 | B♭7 | Gm7 A7 | Dm6 |.');
    }

    public static function problem(ChartProblem $problem): self
    {
        return new self($problem->message, $problem->at);
    }
}
