<?php

declare(strict_types=1);

namespace Gravik\Lesson\Steps;

use Gravik\Breakdown\Stage;
use Gravik\Lesson\Backing;
use Gravik\Lesson\LadderMode;
use Gravik\Lesson\LadderWish;
use Gravik\Time\Tempo;

/** From which tempo to which a stage climbs, as shares of the song's own (rules of thumb), and in how many minutes. */
final readonly class StageTempos
{
    private const MINUTES = 8;

    /** Once or twice through, to listen. */
    private const LISTENING = 2;

    public const CYCLE = 4;

    /** A change is begun this much slower than it fits. */
    private const SLOWER = 0.75;

    private const SLOWEST = 20;

    /** @return array{float, float} */
    private static function shares(PlannedStage $stage): array
    {
        return match ($stage->key->stage) {
            Stage::Whole => [1.0, 1.0],
            Stage::Shapes => [0.43, 0.55],
            Stage::HardChange => [0.4, 0.8],
            Stage::DampedRhythm => [0.52, 0.75],
            Stage::BassAlone, Stage::BrushesAlone => [0.5, 0.7],
            Stage::SlowAndEven => [0.48, 0.61],
            Stage::Releases => [0.55, 0.72],
            Stage::AllReleases => [0.57, 0.76],
            Stage::Accents => [0.58, 0.78],
            Stage::Ornaments => [0.61, 0.81],
            Stage::BassAndDrums => [0.7, 0.87],
            Stage::FullBand => [0.75, 0.91],
            Stage::Variations, Stage::Answer => [0.81, 0.96],
            Stage::AtTempo => match ($stage->key->of) {
                Backing::OnceABar->value => [0.93, 1.0],
                Backing::Rests->value => [0.95, 1.0],
                default => [0.91, 1.0],
            },
            Stage::FullRun => [0.75, 1.0],
        };
    }

    /**
     * What is proposed, each field set; beats a minute.
     *
     * @param ?HardChange        $change that the stage is of
     * @param ?array{int, int}   $loop   bars that go round
     */
    public static function of(PlannedStage $stage, Tempo $song, ?HardChange $change, ?array $loop): LadderWish
    {
        [$from, $to] = self::shares($stage);
        $start = $from * $song->bpm;
        $goal = $to * $song->bpm;
        if ($change !== null) {
            [$start, $goal] = [self::SLOWER * $change->fitsAt, max($change->fitsAt, $goal)];
        }

        return new LadderWish(
            max(self::SLOWEST, (int) round($start)),
            max(self::SLOWEST, (int) round($goal)),
            $stage->key->stage === Stage::Whole ? self::LISTENING : self::MINUTES,
            5.0,
            $stage->key->stage === Stage::FullRun ? LadderMode::Bursts : LadderMode::Gated,
            $loop === null ? self::CYCLE : min(16, $loop[1] - $loop[0] + 1),
        );
    }

    /** What the teacher wants, and the proposal where they say nothing; a goal below the start is the start. */
    public static function asWanted(LadderWish $wanted, LadderWish $proposed): LadderWish
    {
        $start = $wanted->start ?? min($proposed->start ?? self::SLOWEST, $wanted->goal ?? 400);

        return new LadderWish(
            $start,
            max($start, $wanted->goal ?? $proposed->goal ?? $start),
            $wanted->minutes ?? $proposed->minutes,
            $wanted->percent ?? $proposed->percent,
            $wanted->mode ?? $proposed->mode,
            $wanted->bars ?? $proposed->bars,
        );
    }
}
