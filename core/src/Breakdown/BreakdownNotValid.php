<?php

declare(strict_types=1);

namespace Gravik\Breakdown;

use Gravik\Chart\ChartNotReadable;
use Gravik\CoreException;
use Gravik\Quote;

final class BreakdownNotValid extends \InvalidArgumentException implements CoreException
{
    /** @param string $pointer JSON pointer into the document, to what is wrong */
    private function __construct(string $message, public readonly string $pointer)
    {
        parent::__construct($message);
    }

    public static function title(): self
    {
        return new self('A breakdown needs a title of 1 to 120 characters.', '/title');
    }

    public static function genre(): self
    {
        return new self('The genre can have at most 80 characters.', '/genre');
    }

    public static function gate(string $what, string $range): self
    {
        return new self(sprintf('The %s a gate lets through is %s.', $what, $range), '');
    }

    public static function level(): self
    {
        return new self('A pattern has levels 1, 2 and 3.', '');
    }

    public static function tooMany(string $list, int $count, int $most): self
    {
        return new self(sprintf('%d %s are more than one breakdown holds; %d is the most.', $count, $list, $most), "/{$list}");
    }

    public static function id(string $pointer, string $id): self
    {
        return new self(sprintf('"%s" cannot be an id: letters, figures, - and _, 40 at most.', Quote::short($id)), $pointer);
    }

    public static function twice(string $pointer, string $id): self
    {
        return new self(sprintf('The id "%s" is there twice. Give one of them another.', Quote::short($id)), $pointer);
    }

    public static function unknownId(string $pointer, string $id, string $list): self
    {
        return new self(sprintf('"%s" is none of the %s of this breakdown.', Quote::short($id), $list), $pointer);
    }

    public static function endingWithoutRepeat(string $pointer, string $section): self
    {
        return new self(
            sprintf(
                'Section %s has an ending of its own for some times, but it comes only once in the form. Let it come again, or write the ending into its line.',
                $section,
            ),
            $pointer,
        );
    }

    public static function endingTime(string $pointer, string $section, int $time, int $comes): self
    {
        return new self($time > $comes
            ? sprintf('Section %s has an ending for time %d, but it comes %d times in the form.', $section, $time, $comes)
            : sprintf('Section %s has two endings for time %d. Leave it in one of them.', $section, $time), $pointer);
    }

    public static function noPattern(int $section, string $name, string $meter): self
    {
        return new self(sprintf('Section %s is in %s, and no pattern is. Add one in %s.', $name, $meter, $meter), "/sections/{$section}");
    }

    public static function patternMeter(string $pointer, string $has, string $section, string $needs): self
    {
        return new self(
            sprintf('This pattern is in %s, and section %s in %s. Choose a pattern in %s.', $has, $section, $needs, $needs),
            $pointer,
        );
    }

    public static function grooveMeter(string $pointer, string $groove, string $has, string $needs): self
    {
        return new self(
            sprintf('The groove "%s" is in %s, the tune in %s. Choose a groove in %s.', $groove, $has, $needs, $needs),
            $pointer,
        );
    }

    public static function tooLong(string $pointer, ChartNotReadable $why): self
    {
        return new self($why->getMessage(), $pointer);
    }

    public static function noGuitar(): self
    {
        return new self('A band here has a guitar in it: that is the part that is taught.', '/parts');
    }

    public static function noSection(string $id): self
    {
        return new self(sprintf('There is no section "%s" in this breakdown.', Quote::short($id)), '/sections');
    }

    public static function noPass(string $id): self
    {
        return new self(sprintf('There is no pass "%s" in this breakdown.', Quote::short($id)), '/passes');
    }

    public static function noPart(string $id): self
    {
        return new self(sprintf('There is no part "%s" in this breakdown.', Quote::short($id)), '/parts');
    }

    public static function onlySection(): self
    {
        return new self('A breakdown keeps its only section. Empty its line instead.', '/sections');
    }
}
