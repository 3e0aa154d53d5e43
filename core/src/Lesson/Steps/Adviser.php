<?php

declare(strict_types=1);

namespace Gravik\Lesson\Steps;

use Gravik\Breakdown\Stage;
use Gravik\Neck\Grip\FingerMoves;
use Gravik\Neck\Grip\Voicing;
use Gravik\Strokes\ChordOf;
use Gravik\Strokes\Direction;
use Gravik\Strokes\Pattern;
use Gravik\Strokes\StoppedBy;
use Gravik\Strokes\Stroke;

/** Says of a stage what to think of and what goes wrong: read off its own strokes, grips and changes. */
final readonly class Adviser
{
    private const MOST = 3;

    /**
     * @param list<StrokeFigure> $figures of the stage's round
     * @param list<Voicing>      $grips   of the song, in order
     */
    public static function of(Inside $inside, PlannedStage $stage, ?HardChange $change, array $figures, array $grips): Advice
    {
        $pattern = $inside->main()->pattern;
        [$say, $mistakes] = match ($stage->key->stage) {
            Stage::Whole => ['Listen once through before you play: where does it breathe, where does it push?', []],
            Stage::Shapes => [
                'Each grip lands whole and rings for all of its time; look at the next one, not at the hand.',
                [...self::lifting($grips), ...self::travel($grips)],
            ],
            Stage::HardChange => self::change($change),
            Stage::DampedRhythm => [
                'The fretting hand lies flat. Count aloud; the arm keeps swinging where nothing is struck.',
                [...self::afterAir($pattern, $figures), 'The arm stops in the gaps, and the next stroke is a jump.'],
            ],
            Stage::BassAlone => [
                'The thumb alone, once where it is written, as steady as a foot.',
                [...self::doubling($pattern), 'The thumb plays louder on the first beat than on the others.'],
            ],
            Stage::BrushesAlone => [
                'The brushes alone; the thumb rests on its string and waits.',
                ['The brush comes early because there is no thumb to wait for.'],
            ],
            Stage::SlowAndEven => [
                'Slow, even, everything rings: the same sound from each stroke.',
                [...self::doubling($pattern), ...self::upLight($figures), ...self::lifting($grips)],
            ],
            Stage::Releases, Stage::AllReleases => self::releases($stage, $pattern, $figures, $grips),
            Stage::Accents => self::accents($pattern, $figures),
            Stage::Ornaments => self::ornaments($inside, $pattern),
            Stage::BassAndDrums => [
                'Lie under the bass and beside the back-beat: what you hear is them, not you.',
                ['The guitar gets louder as soon as somebody else plays.', ...self::afterAir($pattern, $figures)],
            ],
            Stage::FullBand => [
                'Play softer than you think, and leave others their octave.',
                ['Everything becomes louder and denser as the others come in.'],
            ],
            Stage::Variations => [
                'Change only what is new in this pass; the arm goes on as before.',
                ['The first bar of the pass comes late, because it was thought about.'],
            ],
            Stage::AtTempo => [
                'The click is somewhere else now: keep the beat yourself.',
                ['Without a click on the beat the tempo creeps up.', ...self::afterAir($pattern, $figures)],
            ],
            Stage::FullRun => [
                'Once slow, hearing everything; once at tempo, thinking of nothing.',
                ['The fast run is begun before the slow one is clean.'],
            ],
            Stage::Answer => [
                'Two bars of the part, then two of your own: same arm, same grips, strokes of yours.',
                ['The answer fills every gap; leave one.'],
            ],
        };

        return new Advice($stage->note->say ?? $say, $stage->note->mistakes ?? array_slice($mistakes, 0, self::MOST));
    }

    /**
     * @param list<StrokeFigure> $figures
     * @param list<Voicing>      $grips
     *
     * @return array{string, list<string>}
     */
    private static function releases(PlannedStage $stage, Pattern $pattern, array $figures, array $grips): array
    {
        $back = $stage->key->stage === Stage::Releases;
        $cut = array_values(array_filter(
            $figures,
            static fn (StrokeFigure $each): bool => StagedPattern::isReleased($each->stroke)
                && StagedPattern::isBackBeat($pattern, $each->stroke) === $back,
        ));
        $byPick = array_filter($cut, static fn (StrokeFigure $each): bool => $each->stroke->stoppedBy === StoppedBy::PickHand) !== [];
        $lengths = array_filter(
            array_map(static fn (StrokeFigure $each): ?float => $each->ringsMs, $cut),
            static fn (?float $ms): bool => $ms !== null,
        );
        $say = ($byPick ? 'The heel of the pick hand comes down' : 'The fingers stay on the strings, only the weight goes')
            .($lengths === [] ? '; no pitch at all.' : sprintf(': %d ms, then silence.', (int) round(min($lengths))));
        $open = self::openStrings($grips);
        $mistakes = [
            ...$byPick || $open === [] ? [] : [sprintf(
                'String %s keeps ringing: it is open in %s, and no finger lies on it to damp it.',
                StageWords::listed($open['strings']),
                $open['chord'],
            )],
            'The fingers fly off, and the strings sound once more as they leave.',
            'The arm stops together with the sound.',
        ];
        $beats = array_values(array_unique(array_map(static fn (StrokeFigure $each): string => $each->count, $cut)));
        if (count($beats) > 1) {
            $mistakes[] = "{$beats[0]} is dry, {$beats[count($beats) - 1]} is forgotten.";
        }

        return [$say, $mistakes];
    }

    /**
     * @param list<StrokeFigure> $figures
     *
     * @return array{string, list<string>}
     */
    private static function accents(Pattern $pattern, array $figures): array
    {
        $levels = array_map(static fn (StrokeFigure $each): float => $each->levelDb, $figures);
        $loud = array_filter($figures, static fn (StrokeFigure $each): bool => $levels !== [] && $each->levelDb >= max($levels) - 0.1);
        $counts = implode(', ', array_unique(array_map(static fn (StrokeFigure $each): string => $each->count, $loud)));
        $up = array_filter($loud, static fn (StrokeFigure $each): bool => $each->stroke->direction === Direction::Up);

        return [
            $levels === [] ? 'Some strokes carry, the others follow.' : sprintf(
                '%s carries: %.0f dB between the heaviest and the lightest stroke.',
                $counts,
                max($levels) - min($levels),
            ),
            [
                ...$up === [] ? [] : ['The accented up stroke only meets the thin strings; turn the wrist, do not lift the arm.'],
                'The heavy stroke comes early, because the arm hurries to it.',
                'All strokes become heavy; make the light ones lighter instead.',
            ],
        ];
    }

    /** @return array{string, list<string>} */
    private static function ornaments(Inside $inside, Pattern $pattern): array
    {
        $pushed = StageWords::places($pattern, static fn (Stroke $stroke): bool => $stroke->chord === ChordOf::Next);
        $slid = StageWords::places($pattern, static fn (Stroke $stroke): bool => $stroke->ornament !== null);

        return [
            match (true) {
                $inside->pushes() => "The new chord is there on {$pushed}, before its bar; nothing is struck on the beat after it.",
                $inside->ornaments() => 'The ornament begins on time, so its note arrives late on purpose.',
                $inside->figures() !== [] => 'The figure takes the place of the strokes; the arm goes on under it and is back on time.',
                default => 'The hand walks to its chord: count back from where it lands.',
            },
            [
                ...$inside->pushes() ? ["{$pushed} still sounds the old chord.", 'The beat after a push is struck again.'] : [],
                ...$inside->ornaments() ? ["The slide into {$slid} starts too late, and the beat waits for it."] : [],
                ...$inside->figures() === [] ? [] : ['After a figure the first stroke of the pattern comes late.'],
            ],
        ];
    }

    /** @return array{string, list<string>} */
    private static function change(?HardChange $change): array
    {
        if ($change === null) {
            return ['Only the change, back and forth, until the hand knows the way.', []];
        }
        $moves = FingerMoves::between($change->window->from, $change->window->to);
        $say = match (true) {
            $moves->stay !== [] => self::fingers(
                $moves->stay,
                'stays down; the others go around it.',
                'stay down; the others go around them.',
            ),
            $moves->slide !== [] => self::fingers(
                $moves->slide,
                'slides along its string and shows the others the way.',
                'slide along their strings and show the others the way.',
            ),
            default => sprintf('The whole hand goes %d mm at once: lift together, land together.', (int) round($change->window->travelMm)),
        };

        return [$say, [
            sprintf(
                'At the song’s tempo there are %d ms and the hand needs about %d: it comes late until the old grip is let go earlier.',
                (int) round($change->window->haveMs),
                (int) round($change->window->needMs),
            ),
            'The old grip is held until the new one is struck.',
        ]];
    }

    /** @param list<int> $which */
    private static function fingers(array $which, string $one, string $several): string
    {
        return (count($which) === 1 ? 'Finger ' : 'Fingers ').StageWords::listed($which).' '.(count($which) === 1 ? $one : $several);
    }

    /**
     * @param list<Voicing> $grips
     *
     * @return list<string>
     */
    private static function lifting(array $grips): array
    {
        foreach (array_slice($grips, 1) as $place => $to) {
            $moves = FingerMoves::between($grips[$place], $to);
            if ($moves->stay !== [] && ! $moves->none && $grips[$place]->frets !== $to->frets) {
                return [sprintf(
                    'Finger %s is lifted from %s to %s, though it may stay.',
                    StageWords::listed($moves->stay),
                    $grips[$place]->chord->text(),
                    $to->chord->text(),
                )];
            }
        }

        return [];
    }

    /**
     * @param list<Voicing> $grips
     *
     * @return list<string>
     */
    private static function travel(array $grips): array
    {
        $far = 0;
        $words = [];
        foreach (array_slice($grips, 1) as $place => $to) {
            $frets = abs($to->position - $grips[$place]->position);
            if ($frets > $far) {
                $far = $frets;
                $words = [
                    sprintf(
                        'The hand leaves %s too late for %s, %d frets away.',
                        $grips[$place]->chord->text(),
                        $to->chord->text(),
                        $frets,
                    ),
                ];
            }
        }

        return $far > 2 ? $words : [];
    }

    /**
     * The first stroke after a beat on which nothing is struck is the one that hurries.
     *
     * @param list<StrokeFigure> $figures
     *
     * @return list<string>
     */
    private static function afterAir(Pattern $pattern, array $figures): array
    {
        $struck = array_map(static fn (Stroke $stroke): int => $stroke->at, $pattern->strokes());
        $beat = $pattern->meter->beatTicks();
        foreach ($figures as $each) {
            $onBeat = intdiv($each->stroke->at, $beat) * $beat;
            if ($each->stroke->at !== $onBeat && ! in_array($onBeat, $struck, true)) {
                return [sprintf('%s comes early: nothing is struck on %s before it.', $each->count, Counted::at($pattern, $onBeat))];
            }
        }

        return [];
    }

    /** @return list<string> where the thumb is drawn into a brush that has none */
    private static function doubling(Pattern $pattern): array
    {
        if (! isset($pattern->streams[1])) {
            return [];
        }
        $bass = StagedPattern::bassLine($pattern);
        $thumb = array_map(static fn (Stroke $stroke): int => $stroke->at, $pattern->streams[$bass]->strokes);
        foreach ($pattern->streams[1 - $bass]->strokes as $stroke) {
            if (! in_array($stroke->at, $thumb, true)) {
                return [sprintf('The thumb doubles the brush on %s.', Counted::at($pattern, $stroke->at))];
            }
        }

        return [];
    }

    /**
     * @param list<StrokeFigure> $figures
     *
     * @return list<string>
     */
    private static function upLight(array $figures): array
    {
        foreach ($figures as $each) {
            if ($each->stroke->direction === Direction::Up) {
                return ["The up stroke on {$each->count} is lighter than the down strokes."];
            }
        }

        return [];
    }

    /**
     * @param list<Voicing> $grips
     *
     * @return array{strings: list<int>, chord: string}|array{}
     */
    private static function openStrings(array $grips): array
    {
        foreach ($grips as $grip) {
            $open = array_keys(array_filter($grip->frets, static fn (?int $fret): bool => $fret === 0));
            if ($open !== []) {
                return [
                    'strings' => array_map(static fn (int $index): int => count($grip->frets) - $index, array_reverse($open)),
                    'chord' => $grip->chord->text(),
                ];
            }
        }

        return [];
    }
}
