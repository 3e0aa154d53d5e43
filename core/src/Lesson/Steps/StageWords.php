<?php

declare(strict_types=1);

namespace Gravik\Lesson\Steps;

use Gravik\Band\BandPart;
use Gravik\Band\Instrument;
use Gravik\Breakdown\Pass;
use Gravik\Breakdown\PassDifferences;
use Gravik\Breakdown\Stage;
use Gravik\Lesson\Backing;
use Gravik\Strokes\Pattern;
use Gravik\Strokes\Stroke;

/** What a stage is called, and the one thing that is new in it, in words. */
final readonly class StageWords
{
    private const MOST_PLACES = 3;

    public static function name(Inside $inside, PlannedStage $stage, ?HardChange $change): string
    {
        return $stage->note->name ?? match ($stage->key->stage) {
            Stage::Whole => 'Hear it finished',
            Stage::Shapes => 'Shapes alone',
            Stage::HardChange => ($change?->words() ?? 'One change').' alone',
            Stage::DampedRhythm => 'Rhythm alone',
            Stage::BassAlone => ucfirst(self::lines($inside)['bass']).' alone',
            Stage::BrushesAlone => ucfirst(self::lines($inside)['brushes']).' alone',
            Stage::SlowAndEven => 'Both, slow and even',
            Stage::Releases => 'Let go on 2 and 4',
            Stage::AllReleases => 'Let go everywhere',
            Stage::Accents => 'Weight',
            Stage::Ornaments => ucfirst(implode(', ', $inside->extras())),
            Stage::BassAndDrums => ucfirst(self::players($inside->parts(Instrument::Bass, Instrument::Drums))),
            Stage::FullBand => 'The whole band',
            Stage::Variations => 'Pass '.self::pass($inside, $stage->key->of),
            Stage::AtTempo => ucfirst(self::click($stage)->words()),
            Stage::FullRun => 'A slow and a full run',
            Stage::Answer => 'An answer of your own',
        };
    }

    /** What is new in it, in a few words; what it was proposed for is remembered by them. */
    public static function changes(Inside $inside, PlannedStage $stage, ?HardChange $change): string
    {
        $pattern = $inside->main()->pattern;
        $own = match ($stage->key->stage) {
            Stage::Whole => 'the whole part at tempo, to listen to',
            Stage::Shapes => sprintf('%d grips, held long', self::grips($inside)),
            Stage::HardChange => $change === null ? 'a change' : sprintf(
                'needs %d ms, has %d',
                (int) round($change->window->needMs),
                (int) round($change->window->haveMs),
            ),
            Stage::DampedRhythm => 'the arm on damped strings',
            Stage::BassAlone => 'only the '.self::lines($inside)['bass'],
            Stage::BrushesAlone => 'only the '.self::lines($inside)['brushes'],
            Stage::SlowAndEven => $inside->lines() === null ? 'grips under the arm' : 'both lines, grips under them',
            Stage::AtTempo => 'at tempo, '.self::click($stage)->words(),
            Stage::FullRun => 'everything, slow and at tempo by turns',
            Stage::Answer => 'the band plays on, the strokes are yours',
            Stage::Releases, Stage::AllReleases, Stage::Accents, Stage::Ornaments, Stage::BassAndDrums, Stage::FullBand,
            Stage::Variations => '',
        };
        $added = array_map(static fn (Layer $layer): string => match ($layer) {
            Layer::Releases => 'dry '.self::places($pattern, static fn (Stroke $stroke): bool => StagedPattern::isReleased($stroke)
                && StagedPattern::isBackBeat($pattern, $stroke)),
            Layer::AllReleases => 'dry '.self::places($pattern, static fn (Stroke $stroke): bool => StagedPattern::isReleased($stroke)
                && ! StagedPattern::isBackBeat($pattern, $stroke)),
            Layer::Accents => 'weight on '.self::places($pattern, static fn (Stroke $stroke): bool => $stroke->accent > 1),
            Layer::Ornaments => implode(', ', $inside->extras()),
            Layer::BassAndDrums => self::players($inside->parts(Instrument::Bass, Instrument::Drums)),
            Layer::Band => self::players($inside->others()),
            Layer::Passes => self::otherwise($inside, $stage->key->of),
        }, $stage->key->stage === Stage::Variations ? [Layer::Passes] : $stage->added);

        return implode('; ', array_filter([$own, ...$added], static fn (string $words): bool => $words !== ''));
    }

    public static function click(PlannedStage $stage): Backing
    {
        return Backing::tryFrom($stage->key->of) ?? Backing::BackBeat;
    }

    /** @param callable(Stroke): bool $is */
    public static function places(Pattern $pattern, callable $is): string
    {
        $at = array_values(array_unique(array_map(
            static fn (Stroke $stroke): int => $stroke->at,
            array_filter($pattern->strokes(), $is),
        )));
        $named = array_map(static fn (int $tick): string => Counted::at($pattern, $tick), array_slice($at, 0, self::MOST_PLACES));
        $more = count($at) - count($named);

        return $at === [] ? 'elsewhere' : implode(', ', $named).($more > 0 ? " and {$more} more" : '');
    }

    /** @return array{bass: string, brushes: string} */
    private static function lines(Inside $inside): array
    {
        return $inside->lines() ?? ['bass' => 'bass', 'brushes' => 'brushes'];
    }

    private static function grips(Inside $inside): int
    {
        $written = array_map(static fn ($chord): string => $chord->chord->text(), $inside->course->form->chords);

        return count(array_unique($written));
    }

    private static function pass(Inside $inside, string $id): string
    {
        foreach ($inside->breakdown->passes as $place => $pass) {
            if ($pass->id === $id) {
                return ($place + 1).($pass->name === '' ? '' : ': '.$pass->name);
            }
        }

        return $id;
    }

    private static function otherwise(Inside $inside, string $id): string
    {
        $ids = array_map(static fn (Pass $pass): string => $pass->id, $inside->breakdown->passes);
        $place = array_search($id, $ids, true);

        return $place === false ? 'a pass that is no more' : rtrim((new PassDifferences($inside->breakdown))->words()[$place] ?? '', '.');
    }

    /** @param list<string|int> $words */
    public static function listed(array $words): string
    {
        $last = array_pop($words);

        return $words === [] ? (string) $last : implode(', ', $words)." and {$last}";
    }

    /** @param list<BandPart> $parts */
    private static function players(array $parts): string
    {
        $names = array_unique(array_map(static fn (BandPart $part): string => $part->instrument->words(), $parts));
        sort($names);

        return self::listed($names);
    }
}
