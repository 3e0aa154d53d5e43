<?php

declare(strict_types=1);

namespace Gravik\Breakdown;

use Gravik\Breakdown\Failure\MarkNotPossible;

/** Says of a value that it is unsure, that another is as good, or that it is meant as it sounds. */
final readonly class Mark
{
    private const LONGEST_OTHER = 120;

    private const LONGEST_NOTE = 200;

    /** @param string $other what else the value may be; needed where either is fine */
    public function __construct(public MarkedValue $on, public MarkKind $is, public string $other = '', public string $note = '')
    {
        match (true) {
            $is === MarkKind::Either && trim($other) === '' => throw new MarkNotPossible('other', 'what else is fine is missing.'),
            mb_strlen($other) > self::LONGEST_OTHER => throw new MarkNotPossible('other', 'at most 120 characters.'),
            mb_strlen($note) > self::LONGEST_NOTE => throw new MarkNotPossible('note', 'at most 200 characters.'),
            $is === MarkKind::Colour && ! in_array($on->what, [Marked::Grip, Marked::Figure], true) => throw new MarkNotPossible(
                'is', 'only grips and figures sound off their chord.',
            ),
            default => null,
        };
    }
}
