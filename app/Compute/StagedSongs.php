<?php

declare(strict_types=1);

namespace App\Compute;

use Gravik\Breakdown\Arrangement;
use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\BreakdownNotValid;
use Gravik\Breakdown\StageKey;
use Gravik\Lesson\Backing;
use Gravik\Lesson\Steps\Flaw;
use Gravik\Lesson\Steps\Flawed;
use Gravik\Lesson\Steps\LessonPlanner;
use Gravik\Lesson\Steps\StagedSong;
use Gravik\Strokes\Hand\Levels;

/** Songs as they are played: arranged with the band or alone, as far as a stage of the lesson has come, with a flaw to hear. */
final readonly class StagedSongs
{
    public function __construct(private VoicedForms $voiced, private LessonPlanner $planner) {}

    /**
     * @param ?StageKey $stage null for the whole song
     *
     * @throws BreakdownNotValid where the lesson has no such stage
     */
    public function of(
        Breakdown $song,
        ?StageKey $stage = null,
        Arrangement $arrangement = Arrangement::WithBand,
        ?Flaw $flaw = null,
    ): StagedSong {
        $arranged = $arrangement->of($song);
        $staged = $stage === null
            ? new StagedSong($arranged, Levels::HIGHEST, Backing::Band, null)
            : $this->planner->staged($arranged, $stage, $this->voiced->all($arranged));

        return $flaw === null
            ? $staged
            : new StagedSong(Flawed::with($staged->breakdown, $flaw), $staged->level, $staged->backing, $staged->loop);
    }
}
