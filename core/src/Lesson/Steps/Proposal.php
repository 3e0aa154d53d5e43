<?php

declare(strict_types=1);

namespace Gravik\Lesson\Steps;

use Gravik\Band\Instrument;
use Gravik\Breakdown\Pass;
use Gravik\Breakdown\Stage;
use Gravik\Breakdown\StageKey;
use Gravik\Lesson\Backing;

/**
 * The stages of a lesson, from what is really in a song: whole, pieces, whole. Shapes alone, the rhythm alone, both slow and
 * even, then one thing more each time. What is not there makes no stage.
 */
final readonly class Proposal
{
    /** In this order the click helps less and less; what a stage at tempo is "of". */
    public const CLICKS = [Backing::BackBeat, Backing::OnceABar, Backing::Rests];

    /**
     * @param list<HardChange> $hard
     *
     * @return list<StageKey> in the order in which they are learned
     */
    public static function of(Inside $inside, array $hard): array
    {
        $stages = [
            [Stage::Whole],
            [Stage::Shapes],
            ...array_map(static fn (HardChange $change): array => [Stage::HardChange, $change->of()], $hard),
            [Stage::DampedRhythm],
            ...$inside->lines() === null ? [] : [[Stage::BassAlone], [Stage::BrushesAlone]],
            [Stage::SlowAndEven],
            ...$inside->releases(onBackBeats: true) ? [[Stage::Releases]] : [],
            ...$inside->releases(onBackBeats: false) ? [[Stage::AllReleases]] : [],
            ...$inside->accents() ? [[Stage::Accents]] : [],
            ...$inside->extras() === [] ? [] : [[Stage::Ornaments]],
            ...$inside->parts(Instrument::Bass, Instrument::Drums) === [] ? [] : [[Stage::BassAndDrums]],
            ...$inside->others() === [] ? [] : [[Stage::FullBand]],
            ...array_map(static fn (Pass $pass): array => [Stage::Variations, $pass->id], $inside->newPasses()),
            ...array_map(static fn (Backing $click): array => [Stage::AtTempo, $click->value], self::CLICKS),
            [Stage::FullRun],
        ];

        return array_map(static fn (array $stage): StageKey => new StageKey($stage[0], $stage[1] ?? ''), $stages);
    }
}
