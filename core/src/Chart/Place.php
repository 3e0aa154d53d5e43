<?php

declare(strict_types=1);

namespace Gravik\Chart;

use Gravik\Chart\Failure\PlaceNotPossible;

/** A place of the written song. Its section is known by its id, so that it stays when sections before it go. */
final readonly class Place
{
    /**
     * @param ?int $ending of the section, from 0; null in what all endings follow
     * @param int  $bar    from 0, within the section's own line or within the ending
     * @param int  $tick   from the bar line
     */
    public function __construct(public string $section, public ?int $ending, public int $bar, public int $tick)
    {
        if (($ending ?? 0) < 0 || $bar < 0 || $tick < 0) {
            throw new PlaceNotPossible();
        }
    }

    public function equals(self $other): bool
    {
        return [$this->section, $this->ending, $this->bar, $this->tick] === [$other->section, $other->ending, $other->bar, $other->tick];
    }
}
