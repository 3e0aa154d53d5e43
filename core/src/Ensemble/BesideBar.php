<?php

declare(strict_types=1);

namespace Gravik\Ensemble;

/** One bar of another's part beside the guitar's. */
final readonly class BesideBar
{
    /**
     * @param int       $bar    of the song, from 0
     * @param list<int> $own    ticks that the guitar strikes
     * @param list<int> $theirs ticks that the other strikes
     */
    public function __construct(public int $bar, public array $own, public array $theirs, public Overlap $overlap) {}

    public function likeness(): Likeness
    {
        return match (true) {
            $this->theirs === [] => Likeness::GuitarAlone,
            $this->own === [] => Likeness::OtherAlone,
            $this->overlap->isUnison() => Likeness::Together,
            $this->overlap->isBlur() => Likeness::NearlyAlike,
            default => Likeness::Interlocking,
        };
    }
}
