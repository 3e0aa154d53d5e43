<?php

declare(strict_types=1);

namespace Gravik\Lesson\Steps;

use Gravik\Band\BandPart;
use Gravik\Band\Instrument;
use Gravik\Band\Role;
use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\Cell;
use Gravik\Breakdown\Pass;
use Gravik\Breakdown\PlacedFigure;
use Gravik\Breakdown\Stage;
use Gravik\Breakdown\Texture;
use Gravik\Breakdown\Waits;
use Gravik\Chart\CourseBar;
use Gravik\Chart\VoicingLine;
use Gravik\Lesson\Backing;
use Gravik\Neck\Company;
use Gravik\Strokes\Hand\Levels;
use Gravik\Strokes\NamedPattern;
use Gravik\Strokes\Pattern;

/** Makes of a song what a stage plays: strokes as far as they have come, who plays along, which bars go round. */
final readonly class Staging
{
    private const LOOPED = 4;

    private const TURNAROUND = 2;

    /** @param list<HardChange> $hard of the song */
    public static function of(LessonPlan $plan, PlannedStage $stage, array $hard): StagedSong
    {
        $song = self::song($plan, $stage);
        $level = $stage->note->level ?? Levels::HIGHEST;
        $waits = $stage->note->waits ?? [];
        $click = self::backing($stage);

        return new StagedSong(
            $song,
            $level,
            in_array(Waits::Click, $waits, true) && $click !== Backing::Band ? Backing::Nothing : $click,
            self::loop($plan, $stage, $hard),
        );
    }

    private static function song(LessonPlan $plan, PlannedStage $stage): Breakdown
    {
        $song = $plan->inside->breakdown;
        $guitar = $song->guitar()->id;
        $has = static fn (Layer $layer): bool => in_array($layer, $stage->layers, true);
        $alone = $stage->key->stage === Stage::AtTempo;
        $parts = array_values(array_filter($song->parts, static fn (BandPart $part): bool => match ($part->instrument) {
            Instrument::Guitar => true,
            Instrument::Bass, Instrument::Drums => ! $alone && $has(Layer::BassAndDrums),
            Instrument::SecondGuitar, Instrument::Keys, Instrument::Horns, Instrument::Lead => ! $alone && $has(Layer::Band),
        }));
        $ids = array_map(static fn (BandPart $part): string => $part->id, $parts);

        return $song->with(
            patterns: array_map(
                static fn (NamedPattern $each): NamedPattern => $each->with(self::pattern($each->pattern, $stage)),
                $song->patterns,
            ),
            lines: in_array(Waits::AlteredNotes, $stage->note->waits ?? [], true)
                ? array_map(static fn (VoicingLine $line): VoicingLine => $line->with(pins: [], company: Company::Shell), $song->lines)
                : null,
            parts: $parts === [] ? null : $parts,
            passes: array_map(static fn (Pass $pass): Pass => $pass->with(self::cells($pass->cells, $ids, $guitar, $stage)), $song->passes),
            cells: [...self::cells($song->cells, $ids, $guitar, $stage), ...self::texture($stage, $guitar)],
            placed: $has(Layer::Ornaments) ? $song->placed : [],
            played: self::figures($song, $ids, $has(Layer::Ornaments) ? [] : [$guitar]),
        );
    }

    /**
     * @param list<string> $there  ids of the parts that are left
     * @param list<string> $silent of them those that play no figures yet
     *
     * @return list<PlacedFigure>
     */
    private static function figures(Breakdown $song, array $there, array $silent): array
    {
        $left = [];
        foreach ($song->played as $each) {
            $by = $each->parts ?? [$song->guitar()->id];
            $gone = [...array_diff($by, $there), ...array_intersect($by, $silent)];
            foreach ($each->parts === null ? [] : $gone as $part) {
                $each = $each?->withoutPart($part);
            }
            if ($each !== null && array_diff($by, $gone) !== []) {
                $left[] = $each;
            }
        }

        return $left;
    }

    private static function pattern(Pattern $pattern, PlannedStage $stage): Pattern
    {
        return match ($stage->key->stage) {
            Stage::DampedRhythm => StagedPattern::damped($pattern),
            Stage::BassAlone => StagedPattern::line(StagedPattern::with($pattern, $stage->layers), StagedPattern::bassLine($pattern)),
            Stage::BrushesAlone => StagedPattern::line(
                StagedPattern::with($pattern, $stage->layers),
                1 - StagedPattern::bassLine($pattern),
            ),
            Stage::Shapes, Stage::HardChange, Stage::SlowAndEven, Stage::Releases, Stage::AllReleases, Stage::Accents, Stage::Ornaments,
            Stage::BassAndDrums, Stage::FullBand, Stage::Variations, Stage::AtTempo, Stage::Whole, Stage::FullRun, Stage::Answer,
            => StagedPattern::with($pattern, $stage->layers),
        };
    }

    /**
     * @param list<Cell>   $cells
     * @param list<string> $parts ids of those that are left
     *
     * @return list<Cell>
     */
    private static function cells(array $cells, array $parts, string $guitar, PlannedStage $stage): array
    {
        return array_map(static fn (Cell $cell): Cell => self::cell($cell, $guitar, $stage), Parts::cells($cells, $parts));
    }

    /** What the guitar's cells say of textures and roles waits while shapes are learned and strokes are not yet free. */
    private static function cell(Cell $cell, string $guitar, PlannedStage $stage): Cell
    {
        $plain = $cell->part === $guitar && $stage->key->stage === Stage::Shapes && $cell->role !== Role::Out;

        return $plain
            ? new Cell($guitar, $cell->section, $cell->times, null, $cell->pattern, $cell->line, null, null, $cell->bars, Texture::Rings)
            : $cell;
    }

    /** @return list<Cell> */
    private static function texture(PlannedStage $stage, string $guitar): array
    {
        $texture = match ($stage->key->stage) {
            Stage::Shapes => Texture::Rings,
            Stage::Answer => Texture::Free,
            Stage::HardChange, Stage::DampedRhythm, Stage::BassAlone, Stage::BrushesAlone, Stage::SlowAndEven, Stage::Releases,
            Stage::AllReleases, Stage::Accents, Stage::Ornaments, Stage::BassAndDrums, Stage::FullBand, Stage::Variations,
            Stage::AtTempo, Stage::Whole, Stage::FullRun => null,
        };

        return $texture === null ? [] : [new Cell($guitar, texture: $texture)];
    }

    private static function backing(PlannedStage $stage): Backing
    {
        $withBand = in_array(Layer::BassAndDrums, $stage->layers, true) ? Backing::Band : Backing::EveryBeat;

        return match ($stage->key->stage) {
            Stage::Shapes => Backing::Nothing,
            Stage::AtTempo => Backing::tryFrom($stage->key->of) ?? Backing::BackBeat,
            Stage::HardChange, Stage::DampedRhythm, Stage::BassAlone, Stage::BrushesAlone => Backing::EveryBeat,
            Stage::SlowAndEven, Stage::Releases, Stage::AllReleases, Stage::Accents, Stage::Ornaments, Stage::BassAndDrums,
            Stage::FullBand, Stage::Variations, Stage::Whole, Stage::FullRun, Stage::Answer => $withBand,
        };
    }

    /**
     * @param list<HardChange> $hard
     *
     * @return ?array{int, int}
     */
    private static function loop(LessonPlan $plan, PlannedStage $stage, array $hard): ?array
    {
        [$first, $last] = self::bars($plan->inside, $stage);
        $bars = $last + 1;
        $whole = in_array(Waits::Turnaround, $stage->note->waits ?? [], true) && $bars - $first > 2 * self::TURNAROUND
            ? [$first, $last - self::TURNAROUND]
            : ($bars - $first === count($plan->inside->course->bars) ? null : [$first, $last]);

        return match ($stage->key->stage) {
            Stage::HardChange => self::around($stage, $hard, count($plan->inside->course->bars)) ?? $whole,
            Stage::DampedRhythm, Stage::BassAlone, Stage::BrushesAlone, Stage::SlowAndEven, Stage::Releases, Stage::AllReleases,
            Stage::Accents => self::few($plan->inside, $bars) ?? $whole,
            Stage::Shapes, Stage::Ornaments, Stage::BassAndDrums, Stage::FullBand, Stage::Variations, Stage::AtTempo, Stage::Whole,
            Stage::FullRun, Stage::Answer => $whole,
        };
    }

    /** @return array{int, int} first and last bar of the passes that a stage plays */
    private static function bars(Inside $inside, PlannedStage $stage): array
    {
        $of = array_keys(array_filter(
            $inside->course->bars,
            static fn (CourseBar $bar): bool => in_array($inside->course->visits[$bar->visit]->pass, $stage->passes, true),
        ));

        return $of === [] ? [0, max(0, count($inside->course->bars) - 1)] : [min($of), max($of)];
    }

    /**
     * @param list<HardChange> $hard
     *
     * @return ?array{int, int}
     */
    private static function around(PlannedStage $stage, array $hard, int $bars): ?array
    {
        foreach ($hard as $change) {
            if ($change->of() === $stage->key->of) {
                $last = min($bars - 1, max($change->toBar, $change->fromBar + 1));

                return [min($change->fromBar, $last), $last];
            }
        }

        return null;
    }

    /** @return ?array{int, int} the first bars in a row that are played with the strokes most bars have; null where that is all */
    private static function few(Inside $inside, int $bars): ?array
    {
        $from = 0;
        foreach (array_slice($inside->playings, 0, $bars) as $bar => $playing) {
            if ($playing->pattern->id === $inside->main()->id && $playing->role !== Role::Out) {
                $from = $bar;

                break;
            }
        }
        $length = max(self::LOOPED, $inside->main()->pattern->bars());

        return $bars <= $length ? null : [min($from, $bars - $length), min($from, $bars - $length) + $length - 1];
    }
}
