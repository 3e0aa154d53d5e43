<?php

declare(strict_types=1);

namespace Gravik\Listening\Drafts\Internal;

/**
 * Some bars of a recording in a row that are one section of the song.
 *
 * @internal used by Drafter
 */
final readonly class Block
{
    /**
     * @param int $section from 0, in the order in which they first come
     * @param int $from    bar of the recording, from 0
     * @param int $bars    how many
     */
    public function __construct(public int $section, public int $from, public int $bars) {}

    /** @return list<int> its bars of the recording */
    public function own(): array
    {
        return range($this->from, $this->from + $this->bars - 1);
    }
}
