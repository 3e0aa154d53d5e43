<?php

declare(strict_types=1);

namespace Gravik\Handout;

use Gravik\Handout\Failure\HandoutNotPossible;

/** What the teacher wants on the page. */
final readonly class HandoutWishes
{
    private const LONGEST_NAME = 60;

    /**
     * @param list<Part> $parts      in the order in which they stand there
     * @param bool       $large      for a stand two metres away
     * @param bool       $leftHanded necks with the nut at the right
     * @param bool       $highOnTop  the highest string drawn on top
     * @param string     $for        whose page it is
     * @param int        $handBars   1, 2 or 4 bars of the hand
     * @param bool       $names      false: shapes and colours only, no names of chords and degrees at the grips
     */
    public function __construct(
        public array $parts,
        public Paper $paper = Paper::A4,
        public bool $large = false,
        public bool $leftHanded = false,
        public bool $highOnTop = false,
        public string $for = '',
        public int $handBars = 2,
        public bool $names = true,
    ) {
        if (! in_array($handBars, [1, 2, 4], true)) {
            throw new HandoutNotPossible('The hand is shown over 1, 2 or 4 bars.');
        }
        if (mb_strlen($for) > self::LONGEST_NAME) {
            throw new HandoutNotPossible('A name on the page has at most 60 characters.');
        }
    }

    public static function everything(): self
    {
        return new self(Part::cases());
    }
}
