<?php

declare(strict_types=1);

namespace Gravik\Breakdown;

use Gravik\Breakdown\Failure\StageNoteOutOfRange;
use Gravik\Lesson\LadderWish;
use Gravik\Strokes\Hand\Levels;

/** What the teacher says of a stage of the lesson; what is null is as it is proposed. */
final readonly class StageNote
{
    private const LONGEST_NAME = 60;

    private const LONGEST_SENTENCE = 300;

    private const MOST_MISTAKES = 6;

    /**
     * @param ?string       $say      the cue
     * @param ?list<string> $mistakes that are usual
     * @param ?int          $level    to which patterns are thinned at most, 1 to 3
     * @param ?list<Waits>  $waits    what is left out on purpose
     * @param ?string       $seen     what was proposed when the teacher settled it: where the proposal is another by now, they are asked
     */
    public function __construct(
        public StageKey $key,
        public bool $dropped = false,
        public ?string $name = null,
        public ?string $say = null,
        public ?array $mistakes = null,
        public LadderWish $ladder = new LadderWish(),
        public ?Gate $gate = null,
        public ?int $level = null,
        public ?array $waits = null,
        public ?string $seen = null,
    ) {
        match (true) {
            mb_strlen($name ?? '') > self::LONGEST_NAME => throw new StageNoteOutOfRange('name', 'has at most 60 characters.'),
            mb_strlen($say ?? '') > self::LONGEST_SENTENCE => throw new StageNoteOutOfRange('say', 'has at most 300 characters.'),
            mb_strlen($seen ?? '') > self::LONGEST_SENTENCE => throw new StageNoteOutOfRange('seen', 'has at most 300 characters.'),
            count($mistakes ?? []) > self::MOST_MISTAKES => throw new StageNoteOutOfRange('mistakes', 'are at most six.'),
            max([0, ...array_map(mb_strlen(...), $mistakes ?? [])]) > self::LONGEST_SENTENCE => throw new StageNoteOutOfRange(
                'mistakes', 'have at most 300 characters each.',
            ),
            $level !== null && ($level < 1 || $level > Levels::HIGHEST) => throw new StageNoteOutOfRange('level', 'is 1, 2 or 3.'),
            default => null,
        };
    }
}
