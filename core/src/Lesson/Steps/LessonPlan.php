<?php

declare(strict_types=1);

namespace Gravik\Lesson\Steps;

use Gravik\Breakdown\Failure\StageNotReadable;
use Gravik\Breakdown\Pass;
use Gravik\Breakdown\Stage;
use Gravik\Breakdown\StageKey;
use Gravik\Breakdown\StageNote;

/** The stages in the teacher's order, each with what it has of the song. */
final readonly class LessonPlan
{
    /** @param list<PlannedStage> $stages */
    private function __construct(public Inside $inside, public array $stages) {}

    /** @param list<StageKey> $proposed */
    public static function of(Inside $inside, array $proposed): self
    {
        $notes = $inside->breakdown->lesson;
        $order = self::inOrder(array_map(static fn (StageNote $note): StageKey => $note->key, $notes), $proposed);
        $passes = array_map(static fn (Pass $pass): string => $pass->id, $inside->breakdown->passes);
        $told = array_map(static fn (StageKey $key): string => $key->text(), $proposed);
        $stages = $layers = $waiting = [];
        $number = 0;
        foreach ($order as $key) {
            $note = $inside->breakdown->stageNote($key) ?? new StageNote($key);
            $own = self::layersOf($key);
            if ($note->dropped) {
                // What a dropped stage would have brought comes with the next that brings something.
                $waiting = [...$waiting, ...$own];
                $stages[] = new PlannedStage($key, null, in_array($key->text(), $told, true) || $key->isOwn(), $note, $layers, [], []);

                continue;
            }
            $whole = in_array($key->stage, [Stage::Whole, Stage::FullRun], true);
            $added = $own === [] ? [] : self::without([...$waiting, ...$own], $layers);
            $waiting = $own === [] ? $waiting : [];
            $layers = [...$layers, ...$added];
            $has = $whole ? Layer::cases() : $layers;
            $stages[] = new PlannedStage(
                $key,
                ++$number,
                in_array($key->text(), $told, true) || $key->isOwn(),
                $note,
                $has,
                $added,
                match (true) {
                    $key->stage === Stage::Variations && in_array($key->of, $passes, true) => [$key->of],
                    in_array(Layer::Passes, $has, true) => $passes,
                    default => array_slice($passes, 0, 1),
                },
            );
        }

        return new self($inside, $stages);
    }

    /** @throws StageNotReadable where the lesson has no such stage */
    public function stage(StageKey $key): PlannedStage
    {
        foreach ($this->stages as $stage) {
            if ($stage->key->equals($key)) {
                return $stage;
            }
        }

        throw new StageNotReadable($key->text());
    }

    /** @return list<array{Layer, ?int}> what a stage has not yet of what is in the song, and the number of the stage that brings it */
    public function stillToCome(PlannedStage $stage): array
    {
        $come = [];
        foreach ($this->stages as $later) {
            foreach (self::without($later->added, $stage->layers) as $layer) {
                $come[$layer->value] ??= [$layer, $later->number];
            }
        }

        return array_values($come);
    }

    /**
     * The first stage after one of which something is true; null where there is none.
     *
     * @param callable(PlannedStage): bool $is
     */
    public function stageAfter(PlannedStage $stage, callable $is): ?PlannedStage
    {
        $place = array_search($stage, $this->stages, true);
        foreach (array_slice($this->stages, (int) $place + 1) as $later) {
            if ($later->number !== null && $is($later)) {
                return $later;
            }
        }

        return null;
    }

    /**
     * Those the teacher listed in that order; each of the others after the one it follows in the proposal.
     *
     * @param list<StageKey> $listed
     * @param list<StageKey> $proposed
     *
     * @return list<StageKey>
     */
    private static function inOrder(array $listed, array $proposed): array
    {
        $order = $listed;
        $before = null;
        foreach ($proposed as $key) {
            if (self::placeOf($key, $listed) === null) {
                array_splice($order, $before === null ? 0 : 1 + (int) self::placeOf($before, $order), 0, [$key]);
            }
            $before = $key;
        }

        return $order;
    }

    /** @param list<StageKey> $keys */
    private static function placeOf(StageKey $key, array $keys): ?int
    {
        foreach ($keys as $place => $each) {
            if ($each->equals($key)) {
                return $place;
            }
        }

        return null;
    }

    /** @return list<Layer> that a kind of stage brings */
    private static function layersOf(StageKey $key): array
    {
        return match ($key->stage) {
            Stage::Releases => [Layer::Releases],
            Stage::AllReleases => [Layer::AllReleases],
            Stage::Accents => [Layer::Accents],
            Stage::Ornaments => [Layer::Ornaments],
            Stage::BassAndDrums => [Layer::BassAndDrums],
            Stage::FullBand => [Layer::BassAndDrums, Layer::Band],
            Stage::Variations => [Layer::Passes],
            Stage::Whole, Stage::Shapes, Stage::HardChange, Stage::DampedRhythm, Stage::BassAlone, Stage::BrushesAlone,
            Stage::SlowAndEven, Stage::AtTempo, Stage::FullRun, Stage::Answer => [],
        };
    }

    /**
     * @param list<Layer> $of
     * @param list<Layer> $known
     *
     * @return list<Layer> each once
     */
    private static function without(array $of, array $known): array
    {
        $left = [];
        foreach ($of as $layer) {
            if (! in_array($layer, [...$known, ...$left], true)) {
                $left[] = $layer;
            }
        }

        return $left;
    }
}
