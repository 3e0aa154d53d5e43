<?php

declare(strict_types=1);

namespace Gravik\Lesson\Steps;

use Gravik\Breakdown\Playing;
use Gravik\Breakdown\Stage;
use Gravik\Breakdown\StageKey;
use Gravik\Chart\VoicedForm;
use Gravik\Lesson\Ladder;
use Gravik\Lesson\LadderMode;
use Gravik\Lesson\LadderPlanner;
use Gravik\Lesson\LessonException;
use Gravik\Neck\Grip\Voicing;
use Gravik\Performance\Performer;
use Gravik\Time\Tempo;

/** The lesson of a song: whole, pieces, whole. */
final readonly class Lesson
{
    /**
     * @param list<HardChange>          $hard   changes that deserve a stage
     * @param array<string, VoicedForm> $voiced by line
     */
    public function __construct(public LessonPlan $plan, private array $hard, private array $voiced, private Performer $performer) {}

    public function staged(PlannedStage $stage): StagedSong
    {
        return Staging::of($this->plan, $stage, $this->hard);
    }

    /** @return list<ToldStage> in order, those that are dropped at their place */
    public function stages(): array
    {
        return array_map($this->told(...), $this->plan->stages);
    }

    public function told(PlannedStage $stage): ToldStage
    {
        $inside = $this->plan->inside;
        $change = $this->change($stage->key);
        $staged = $this->staged($stage);
        $usual = StageTempos::of($stage, $inside->breakdown->start->tempo, $change, $staged->loop);
        $ladder = StageTempos::asWanted($stage->note->ladder, $usual);
        $changes = StageWords::changes($inside, $stage, $change);

        return new ToldStage(
            $stage,
            StageWords::name($inside, $stage, $change),
            $changes,
            $ladder,
            $usual,
            $staged->backing,
            $staged->loop,
            mb_substr(sprintf('%s, %d to %d', $changes, $usual->start, $usual->goal), 0, 300),
            $this->round($staged, $stage, new Tempo((float) $ladder->goal)),
        );
    }

    public function advice(ToldStage $stage): Advice
    {
        $bar = $stage->loop[0] ?? 0;
        $line = $this->plan->inside->playings[$bar]->line->id;

        return Adviser::of(
            $this->plan->inside,
            $stage->planned,
            $this->change($stage->planned->key),
            StageFigures::of($stage->round),
            $this->voiced[$line]->path->voicings ?? [],
        );
    }

    /** The tempos of a stage's ladder; null where not even one cycle fits into its minutes. */
    public function climb(ToldStage $stage): ?Ladder
    {
        $wish = $stage->ladder;

        try {
            return (new LadderPlanner())->plan(
                new Tempo((float) $wish->start),
                new Tempo((float) $wish->goal),
                (float) $wish->minutes,
                $this->plan->inside->breakdown->start->meter,
                $wish->mode ?? LadderMode::Gated,
                $wish->percent ?? LadderPlanner::USUAL_STEP,
                $wish->bars ?? StageTempos::CYCLE,
            );
        } catch (LessonException) {
            return null;
        }
    }

    /** One round of a stage's strokes at another tempo. */
    public function at(ToldStage $stage, Tempo $tempo): OneRound
    {
        return $this->round($this->staged($stage->planned), $stage->planned, $tempo);
    }

    /**
     * What a stage leaves for later, and the number of the stage in which it comes; null where none of them brings it.
     *
     * @return list<array{string, ?int}>
     */
    public function postponed(ToldStage $stage): array
    {
        $later = array_map(
            static fn (array $each): array => [$each[0]->words(), $each[1]],
            $this->plan->stillToCome($stage->planned),
        );
        foreach ($stage->planned->note->waits ?? [] as $waits) {
            $back = $this->plan->stageAfter(
                $stage->planned,
                static fn (PlannedStage $each): bool => ! in_array($waits, $each->note->waits ?? [], true),
            );
            $later[] = [$waits->words(), $back?->number];
        }

        return $later;
    }

    private function change(StageKey $key): ?HardChange
    {
        foreach ($this->hard as $change) {
            if ($key->stage === Stage::HardChange && $change->of() === $key->of) {
                return $change;
            }
        }

        return null;
    }

    private function round(StagedSong $staged, PlannedStage $stage, Tempo $tempo): OneRound
    {
        $playing = $this->plan->inside->mostly(...$staged->loop ?? [0, count($this->plan->inside->playings)]);

        return OneRound::of(
            $staged->breakdown,
            $playing,
            $this->grip($playing),
            $tempo,
            $stage->key->stage === Stage::Shapes,
            $this->performer,
        );
    }

    private function grip(Playing $playing): ?Voicing
    {
        return $this->voiced[$playing->line->id]->path->voicings[0] ?? null;
    }
}
