<?php

declare(strict_types=1);

namespace Gravik\Performance;

use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\Desk;
use Gravik\Chart\VoicedForm;
use Gravik\Neck\Grip\Voicing;
use Gravik\Strokes\Action;
use Gravik\Strokes\Hand\HandPlanner;
use Gravik\Strokes\Hand\Warning;
use Gravik\Strokes\Hand\WarningKind;
use Gravik\Strokes\Ornament;
use Gravik\Strokes\OrnamentKind;
use Gravik\Strokes\PlayedBy;
use Gravik\Strokes\School;
use Gravik\Strokes\Stream;
use Gravik\Strokes\Stroke;
use Gravik\Strokes\Zone;
use Gravik\Time\Feel;
use Gravik\Time\FeelMode;
use Gravik\Time\Tempo;

/** Ways to mend what a warning about the pattern names. Each was planned out again and is offered only where the warning is then gone. */
final readonly class StrokeRepairs
{
    public function __construct(private HandPlanner $planner = new HandPlanner(), private StrokeFaults $faults = new StrokeFaults()) {}

    /**
     * @param Tempo       $tempo  practised at
     * @param ?VoicedForm $voiced the form's grips, for warnings that concern them
     *
     * @return list<Repair> the smallest change first; none where nothing but another idea helps
     */
    public function of(Desk $desk, Warning $warning, Tempo $tempo, ?VoicedForm $voiced = null): array
    {
        return array_values(array_filter(
            $this->offers($desk, $warning, $voiced),
            fn (Repair $offer): bool => ! $this->warnsStill($desk->in($offer->breakdown), $warning, $tempo, $voiced),
        ));
    }

    /** @return list<Repair> */
    private function offers(Desk $desk, Warning $warning, ?VoicedForm $voiced): array
    {
        return match ($warning->kind) {
            WarningKind::BreaksTheSwing => [new Repair(
                'Let the hand choose there',
                $this->changed($desk, $warning->at, static fn (Stroke $stroke): Stroke => $stroke->freed('direction')),
            )],
            WarningKind::ThumbDoubles => [new Repair(
                'Give the later ones to the fingers',
                $this->changed($desk, $this->laterInTheirBeat($desk, $warning->at), $this->withFingers(...)),
            )],
            WarningKind::ThumbMissing => [new Repair('Give the thumb its beat', $this->withThumb($desk, $warning->at))],
            WarningKind::TupletsOverlap => [new Repair(
                'Move the odd ones to the nearest slot',
                $this->movedToTheOthers($desk, $warning->at),
            )],
            WarningKind::SameDirection => [new Repair('Change to the pendulum', $desk->with(school: School::Pendulum))],
            WarningKind::ShortNote => [
                new Repair(
                    'Let the swing follow the tempo',
                    $desk->withFeel(new Feel(FeelMode::FollowsTempo, $desk->setting->feel->ratio, $desk->setting->feel->unit)),
                ),
                new Repair('Play it straight', $desk->withFeel(Feel::fixed(1.0, $desk->setting->feel->unit))),
            ],
            WarningKind::NoBendBefore => [
                new Repair('Bend on the stroke before', $this->bentBefore($desk, $warning->at)),
                new Repair(
                    'Strike it plainly',
                    $this->changed($desk, $warning->at, static fn (Stroke $stroke): Stroke => $stroke->plain()),
                ),
            ],
            WarningKind::SilentStrings => [
                ...($voiced === null ? [] : $this->onSoundingStrings($desk, $warning->at, $voiced)),
                new Repair(
                    'Strike the whole grip',
                    $this->changed(
                        $desk,
                        $warning->at,
                        static fn (Stroke $stroke): Stroke => $stroke->striking(Zone::All, $stroke->action, $stroke->by),
                    ),
                ),
            ],
            WarningKind::BelowTheNut => [
                new Repair(
                    'Come from one fret away',
                    $this->changed(
                        $desk,
                        $warning->at,
                        static fn (Stroke $stroke): Stroke => $stroke->ornament === null
                            ? $stroke
                            : $stroke->ornamented(new Ornament($stroke->ornament->kind, -1)),
                    ),
                ),
                new Repair(
                    'Strike it plainly',
                    $this->changed($desk, $warning->at, static fn (Stroke $stroke): Stroke => $stroke->plain()),
                ),
            ],
            WarningKind::ResetAccent => [new Repair(
                'Play it like the others',
                $this->changed($desk, $warning->at, static fn (Stroke $stroke): Stroke => $stroke->accented(1)),
            )],
            WarningKind::TotalRate => [],
        };
    }

    /**
     * The nearest strings that every grip of the form sounds, each for one that was struck; none where there are too few.
     *
     * @param list<int> $at
     *
     * @return list<Repair>
     */
    private function onSoundingStrings(Desk $desk, array $at, VoicedForm $voiced): array
    {
        $count = $desk->breakdown->neck->tuning->strings();
        $sounding = array_map(
            static fn (Voicing $grip): array => array_map(
                static fn (int $index): int => $count - $index,
                array_keys(array_filter($grip->frets, static fn (?int $fret): bool => $fret !== null)),
            ),
            $voiced->path->voicings,
        );
        $always = $sounding === [] ? [] : array_values(array_intersect(...$sounding, ...[$sounding[0]]));
        $named = [];
        $moved = $this->changed($desk, $at, static function (Stroke $stroke) use ($always, &$named): Stroke {
            if (! is_array($stroke->strings)) {
                return $stroke;
            }
            $left = $always;
            $strings = [];
            foreach ($stroke->strings as $string) {
                usort($left, static fn (int $a, int $b): int => abs($a - $string) <=> abs($b - $string));
                array_push($strings, ...array_splice($left, 0, 1));
            }
            $named = $strings;

            return $strings === [] ? $stroke : $stroke->striking($strings, $stroke->action, $stroke->by);
        });

        return $named === []
            ? []
            : [new Repair(sprintf('Strike string%s %s instead', count($named) === 1 ? '' : 's', implode(' and ', $named)), $moved)];
    }

    /** @param list<int> $at */
    private function bentBefore(Desk $desk, array $at): Breakdown
    {
        return $this->withStrokes($desk, static function (Stream $stream) use ($at): array {
            $strokes = $stream->strokes;
            foreach ($strokes as $place => $stroke) {
                $before = ($place + count($strokes) - 1) % count($strokes);
                if (in_array($stroke->at, $at, true) && $before !== $place) {
                    $strokes[$before] = $strokes[$before]->ornamented(new Ornament(OrnamentKind::Bend, $stroke->ornament->frets ?? 2));
                }
            }

            return array_values($strokes);
        });
    }

    private function warnsStill(Desk $desk, Warning $warning, Tempo $tempo, ?VoicedForm $voiced): bool
    {
        $hand = $this->planner->plan($desk->pattern(), $desk->school(), $desk->ruler($tempo), $desk->setting->feel);
        $warnings = [...$hand->warnings, ...($voiced === null ? [] : $this->faults->of($voiced, $hand))];

        return array_filter(
            $warnings,
            static fn (Warning $again): bool => $again->kind === $warning->kind
                && ($warning->at === [] || array_intersect($again->at, $warning->at) !== []),
        ) !== [];
    }

    /**
     * @param list<int>                $at
     * @param callable(Stroke): Stroke $change
     */
    private function changed(Desk $desk, array $at, callable $change): Breakdown
    {
        return $this->withStrokes($desk, static fn (Stream $stream): array => array_map(
            static fn (Stroke $stroke): Stroke => in_array($stroke->at, $at, true) ? $change($stroke) : $stroke,
            $stream->strokes,
        ));
    }

    /** @param callable(Stream): list<Stroke> $strokes */
    private function withStrokes(Desk $desk, callable $strokes): Breakdown
    {
        return $desk->with($desk->pattern()->withStreams(array_map(
            static fn (Stream $stream): Stream => new Stream($stream->name, $strokes($stream)),
            $desk->pattern()->streams,
        )));
    }

    private function withFingers(Stroke $stroke): Stroke
    {
        return $stroke->striking(Zone::High, Action::Brush, PlayedBy::Fingers);
    }

    /**
     * @param list<int> $at
     *
     * @return list<int> those that are not the first of their beat
     */
    private function laterInTheirBeat(Desk $desk, array $at): array
    {
        $beat = $desk->setting->meter->beatTicks();
        sort($at);

        return array_values(array_filter(
            $at,
            static fn (int $tick, int $place): bool => $place > 0 && intdiv($at[$place - 1], $beat) === intdiv($tick, $beat),
            ARRAY_FILTER_USE_BOTH,
        ));
    }

    /**
     * The thumb plays in the line where it plays already, else in the first; what the fingers had there goes to it.
     *
     * @param list<int> $at
     */
    private function withThumb(Desk $desk, array $at): Breakdown
    {
        $thumbs = array_filter(
            $desk->pattern()->streams,
            static fn (Stream $stream): bool => array_filter(
                $stream->strokes,
                static fn (Stroke $stroke): bool => $stroke->by === PlayedBy::Thumb,
            ) !== [],
        );
        $line = $thumbs === [] ? $desk->pattern()->streams[0] : reset($thumbs);
        $thumb = array_map(
            static fn (int $tick): Stroke => (new Stroke($tick, 1))->striking(Zone::Bass, Action::Pick, PlayedBy::Thumb),
            $at,
        );

        return $this->withStrokes($desk, static fn (Stream $stream): array => $stream !== $line ? $stream->strokes : [
            ...array_values(array_filter($stream->strokes, static fn (Stroke $stroke): bool => ! in_array($stroke->at, $at, true))),
            ...$thumb,
        ]);
    }

    /**
     * Each goes to the nearest slot of the division that its beat has otherwise; where that is taken, it goes.
     *
     * @param list<int> $at
     */
    private function movedToTheOthers(Desk $desk, array $at): Breakdown
    {
        $beatTicks = $desk->setting->meter->beatTicks();

        return $this->withStrokes($desk, static function (Stream $stream) use ($at, $beatTicks): array {
            $odd = array_filter($stream->strokes, static fn (Stroke $stroke): bool => in_array($stroke->at, $at, true));
            $kept = [];
            foreach (array_diff_key($stream->strokes, $odd) as $stroke) {
                $kept[$stroke->at] = $stroke;
            }
            foreach ($odd as $stroke) {
                $beat = intdiv($stroke->at, $beatTicks);
                $divisions = array_map(
                    static fn (Stroke $other): int => $other->division,
                    array_filter($kept, static fn (Stroke $other): bool => intdiv($other->at, $beatTicks) === $beat),
                );
                $moved = $stroke->onNearestSlot($beatTicks, max([1, ...array_values($divisions)]));
                $kept[$moved->at] ??= $moved;
            }

            return array_values($kept);
        });
    }
}
