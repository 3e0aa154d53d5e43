<?php

declare(strict_types=1);

namespace Gravik\Neck;

use Gravik\Neck\Failure\FingersNotUsable;
use Gravik\Neck\Failure\NeckChoiceUnknown;

/** What a hand can do. Reach is measured between outer fingertips, in mm along the neck (rule of thumb). */
final readonly class HandProfile
{
    /** The thumb over the top of the neck stands beside fingers 1 to 4 under this number. */
    public const THUMB = 5;

    private const REACH_MM = ['small' => 85.0, 'medium' => 100.0, 'large' => 115.0];

    /**
     * @param string    $size   small, medium or large
     * @param bool      $thumb  whether the thumb may fret the lowest strings from above
     * @param bool      $barre  whether a finger may lie over several strings
     * @param list<int> $avoid  fingers 1 to 4 that are not to be used
     */
    public function __construct(
        public string $size = 'medium',
        public bool $thumb = false,
        public bool $barre = true,
        public array $avoid = [],
    ) {
        if (! isset(self::REACH_MM[$size])) {
            throw new NeckChoiceUnknown('hand', $size, implode(', ', array_keys(self::REACH_MM)));
        }
        if (array_diff($avoid, [1, 2, 3, 4]) !== [] || count(array_unique($avoid)) > 3) {
            throw new FingersNotUsable();
        }
    }

    /** Reads "medium", or more of a hand: "small,no-barre,thumb,avoid-4". */
    public static function parse(string $typed): self
    {
        $words = array_map(trim(...), explode(',', $typed));
        $size = array_shift($words);
        $avoid = [];
        foreach ($words as $word) {
            if (preg_match('/^avoid-([1-4])$/', $word, $found) === 1) {
                $avoid[] = (int) $found[1];
            } elseif (! in_array($word, ['thumb', 'no-barre'], true)) {
                throw new NeckChoiceUnknown('word for a hand', $word, 'thumb, no-barre, avoid-1 to avoid-4');
            }
        }

        return new self($size, in_array('thumb', $words, true), ! in_array('no-barre', $words, true), $avoid);
    }

    public function text(): string
    {
        return implode(
            ',',
            [
                $this->size,
                ...($this->thumb ? ['thumb'] : []),
                ...($this->barre ? [] : ['no-barre']),
                ...array_map(static fn (int $finger): string => "avoid-{$finger}", $this->avoid),
            ],
        );
    }

    public function reachMm(): float
    {
        return self::REACH_MM[$this->size];
    }

    /** @return list<int> fingers 1 to 4 that may be used */
    public function fingers(): array
    {
        return array_values(array_diff([1, 2, 3, 4], $this->avoid));
    }
}
