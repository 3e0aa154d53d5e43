<?php

declare(strict_types=1);

namespace Gravik\Performance;

use Gravik\Neck\Grip\Voicing;

/** One change of grip: the time it needs against the time there is, and what the fingers do meanwhile. */
final readonly class ChangeWindow
{
    /**
     * @param int          $chord    index of the form's chord it comes to
     * @param float        $haveMs   from the last moment the old grip must sound to the first stroke of the new one
     * @param float        $needMs   0 where no finger moves, and where one grip slides a fret or two
     * @param float        $travelMm of the hand along the neck
     * @param list<int>    $stay     fingers that keep string and fret
     * @param list<int>    $slide    fingers that keep their string
     * @param list<int>    $common   strings whose note is in both grips
     * @param PlayedStroke $last     the old grip's last stroke
     * @param PlayedStroke $first    the new grip's first
     */
    public function __construct(
        public int $chord,
        public Voicing $from,
        public Voicing $to,
        public float $haveMs,
        public float $needMs,
        public float $travelMm,
        public array $stay,
        public array $slide,
        public array $common,
        public PlayedStroke $last,
        public PlayedStroke $first,
    ) {}

    public function fits(): bool
    {
        return $this->needMs <= $this->haveMs;
    }
}
