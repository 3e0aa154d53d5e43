<?php

declare(strict_types=1);

namespace Gravik\Handout;

use Gravik\Breakdown\Breakdown;
use Gravik\Chart\VoicedForm;
use Gravik\Lesson\Steps\Lesson;
use Gravik\Performance\Timeline;

/** All that a handout is made of. */
final readonly class Song
{
    /** @param array<string, VoicedForm> $voiced grips by line */
    public function __construct(public Breakdown $breakdown, public Timeline $timeline, public Lesson $lesson, public array $voiced) {}
}
