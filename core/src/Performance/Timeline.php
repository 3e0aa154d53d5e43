<?php

declare(strict_types=1);

namespace Gravik\Performance;

use Gravik\Chart\VoicedForm;
use Gravik\Strokes\HandPlan;
use Gravik\Time\Ruler;

/** A breakdown played out once through its form. t = 0 is bar 1 beat 1; there is no count-in. */
final readonly class Timeline
{
    /**
     * @param list<Event>        $events  in order of time
     * @param list<PlayedStroke> $strokes the guitar's strokes whole
     * @param float              $seconds length of the form
     */
    public function __construct(
        public Ruler $ruler,
        public VoicedForm $voiced,
        public HandPlan $hand,
        public array $strokes,
        public array $events,
        public float $seconds,
    ) {}
}
