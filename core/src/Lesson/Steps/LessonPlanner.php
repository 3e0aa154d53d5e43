<?php

declare(strict_types=1);

namespace Gravik\Lesson\Steps;

use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\Failure\StageNotReadable;
use Gravik\Breakdown\Stage;
use Gravik\Breakdown\StageKey;
use Gravik\Chart\VoicedForm;
use Gravik\Performance\ChangeWindows;
use Gravik\Performance\Performer;

/** Makes a lesson of a song: its stages, what each plays and what is said of it. */
final readonly class LessonPlanner
{
    public function __construct(private Performer $performer = new Performer()) {}

    /** @param array<string, VoicedForm> $voiced the song's grips, by line */
    public function plan(Breakdown $song, array $voiced): Lesson
    {
        $inside = Inside::of($song);
        $alone = $song->with(parts: [$song->guitar()], cells: Parts::cells($song->cells, [$song->guitar()->id]),
            passes: Parts::passes($song->passes, [$song->guitar()->id]), played: [], placed: []);
        $hard = HardChanges::of(new ChangeWindows($song->neck), $this->performer->perform($alone, null, $voiced));

        return new Lesson(LessonPlan::of($inside, Proposal::of($inside, $hard)), $hard, $voiced, $this->performer);
    }

    /**
     * The song as one stage plays it.
     *
     * @param array<string, VoicedForm> $voiced
     *
     * @throws StageNotReadable where its lesson has no such stage
     */
    public function staged(Breakdown $song, StageKey $key, array $voiced): StagedSong
    {
        $lesson = $this->plan($song, $voiced);

        return $lesson->staged($lesson->plan->stage($key));
    }
}
