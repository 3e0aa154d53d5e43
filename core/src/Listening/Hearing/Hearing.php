<?php

declare(strict_types=1);

namespace Gravik\Listening\Hearing;

/** All that is heard of a recording. */
final readonly class Hearing
{
    /**
     * @param list<HeardStroke> $strokes in order of time
     * @param ?TuningHeard      $tuning  null where too little rings
     * @param list<float>       $outline loudness of each hundredth of a second, 0–1 of the loudest
     * @param float             $seconds of the recording
     * @param GripEar           $ear     that hears more once the grips are known
     * @param NotesEar          $notes   that hears which notes sounded
     */
    public function __construct(
        public array $strokes,
        public ?TuningHeard $tuning,
        public array $outline,
        public float $seconds,
        public GripEar $ear,
        public NotesEar $notes,
    ) {}
}
