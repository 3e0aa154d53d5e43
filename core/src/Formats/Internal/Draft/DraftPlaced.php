<?php

declare(strict_types=1);

namespace Gravik\Formats\Internal\Draft;

use Gravik\Chart\Place;

/**
 * Where the bars of a section, or of one of its endings, come first in a song.
 *
 * @internal used by DraftSections and what stands in its bars
 */
final readonly class DraftPlaced
{
    /**
     * @param int $from   bar of the song
     * @param int $before how many bars of the section come before it: none, or those all its endings follow
     */
    public function __construct(public string $section, public ?int $ending, public int $from, public int $count, public int $before = 0) {}

    public function at(int $bar, int $tick): Place
    {
        return new Place($this->section, $this->ending, $bar, $tick);
    }
}
