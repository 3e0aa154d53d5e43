<?php

declare(strict_types=1);

namespace Gravik\Ensemble\Check;

use Gravik\Band\BandPart;
use Gravik\Band\Instrument;
use Gravik\Band\LowIntervals;
use Gravik\Breakdown\Breakdown;
use Gravik\Chart\VoicingLine;
use Gravik\Ensemble\Check;
use Gravik\Ensemble\Clash;
use Gravik\Ensemble\ClashKind;
use Gravik\Ensemble\Heard;
use Gravik\Ensemble\Mend;
use Gravik\Performance\Event;

/** Two tones of one part that sound together and lie lower than their interval is clear. */
final readonly class Mud implements Check
{
    private const SEVERITY = 0.55;

    private const LOW_STRINGS = '4-1';

    /** A fourth is clear where a third was not. */
    private const UP = 5;

    public function kind(): ClashKind
    {
        return ClashKind::Mud;
    }

    public function missing(Heard $heard): ?string
    {
        return null;
    }

    public function find(Heard $heard): array
    {
        $clashes = [];
        foreach ($heard->breakdown->parts as $part) {
            if (! in_array($part->instrument, [Instrument::Guitar, Instrument::SecondGuitar, Instrument::Keys, Instrument::Horns], true)) {
                continue;
            }
            foreach ($heard->visitsWhere(static fn (int $bar): bool => self::lowest($heard->in($part, $bar)) !== null) as $bars) {
                $clashes[] = $this->clash($heard, $part, $bars);
            }
        }

        return $clashes;
    }

    /** @param non-empty-list<int> $bars */
    private function clash(Heard $heard, BandPart $part, array $bars): Clash
    {
        [$tick, $lower, $upper] = self::lowest($heard->in($part, $bars[0])) ?? [0, 0, 0];
        $chord = $heard->chordAt($tick)?->text() ?? '';

        return new Clash(
            $this->kind(),
            sprintf(
                '%s, %s, %s: %s under %s. An interval of %d half steps whose lower note lies below %s turns to mud.',
                $chord,
                Heard::name($part),
                $heard->barWords($bars[0]),
                $heard->noteWords($lower, $tick),
                $heard->noteWords($upper, $tick),
                $upper - $lower,
                $heard->noteWords(LowIntervals::lowest($upper - $lower), $tick),
            ),
            self::SEVERITY,
            [$part->id],
            $bars,
            [$tick],
            $this->mends($heard, $part, $bars[0]),
        );
    }

    /** @return list<Mend> */
    private function mends(Heard $heard, BandPart $part, int $bar): array
    {
        $register = $part->register();

        return $register === null
            ? [GuitarGrips::mend(
                $heard,
                $part,
                $bar,
                'Leave the low strings to the bass',
                static fn (VoicingLine $line): VoicingLine => $line->with(pins: [], wishes: $line->wishes->using(self::LOW_STRINGS)),
            )]
            : [
                new Mend(
                    'Move '.Heard::name($part).' up',
                    static fn (): Breakdown => $heard->with($part->with(register: $register->raised(self::UP))),
                ),
            ];
    }

    /**
     * @param list<Event> $events of one part in one bar
     *
     * @return array{int, int, int}|null tick, lower and upper note of the lowest pair that is muddy
     */
    private static function lowest(array $events): ?array
    {
        $together = [];
        foreach ($events as $event) {
            if ($event->pitch !== null) {
                $together[$event->tick][] = $event->pitch;
            }
        }
        $lowest = null;
        foreach ($together as $tick => $pitches) {
            sort($pitches);
            foreach (array_slice($pitches, 1) as $place => $upper) {
                $lower = $pitches[$place];
                if (LowIntervals::isMuddy($lower, $upper) && ($lowest === null || $lower < $lowest[1])) {
                    $lowest = [$tick, $lower, $upper];
                }
            }
        }

        return $lowest;
    }
}
