<?php

declare(strict_types=1);

namespace Gravik\Lesson\Steps;

use Gravik\Breakdown\StageKey;
use Gravik\Breakdown\StageNote;

/** A stage at its place in the lesson. */
final readonly class PlannedStage
{
    /**
     * @param ?int        $number   from 1, as the lesson counts; null where it is dropped
     * @param bool        $proposed false where the song has no such thing any more, and the teacher added none
     * @param list<Layer> $layers   that are in it
     * @param list<Layer> $added    of them those that no stage before it had
     * @param list<string> $passes  ids of those that are played
     */
    public function __construct(
        public StageKey $key,
        public ?int $number,
        public bool $proposed,
        public StageNote $note,
        public array $layers,
        public array $added,
        public array $passes,
    ) {}
}
