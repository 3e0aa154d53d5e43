<?php

declare(strict_types=1);

namespace Gravik\Band;

use Gravik\Chart\ChordClock;
use Gravik\Chart\Course;
use Gravik\Chart\CourseChord;
use Gravik\Harmony\ChordSymbol;

/** The chords of a course as a part voices them, struck bar by bar. */
final readonly class ChordsOfCourse
{
    /** How much of a beat a short chord lasts. */
    private ChordClock $clock;

    /** @var list<non-empty-list<int>> voices of each chord of the course */
    private array $voices;

    public function __construct(private Course $course, ChordVoicer $voicer)
    {
        $this->clock = new ChordClock($course);
        $this->voices = $course->chords === []
            ? []
            : $voicer->through(array_map(static fn (CourseChord $chord): ChordSymbol => $chord->chord, $course->chords));
    }

    /** @return list<BandNote> every chord of a bar until it ends */
    public function held(int $bar, float $loudness): array
    {
        $here = $this->course->bars[$bar];
        $notes = [];
        foreach ($this->course->chords as $index => $chord) {
            $from = max($chord->tick, $here->tick);
            $until = min($chord->tick + $chord->ticks, $here->until());
            if ($from < $until) {
                array_push($notes, ...$this->struck($index, $from, $until, 1, $loudness));
            }
        }

        return $notes;
    }

    /**
     * @param array{float, float} $loudness on 1 and 3, on 2 and 4
     *
     * @return list<BandNote>
     */
    public function quarters(int $bar, array $loudness): array
    {
        $here = $this->course->bars[$bar];
        $beat = $here->meter->beatTicks();
        $notes = [];
        for ($number = 0; $number < $here->meter->beats(); $number++) {
            $tick = $here->tick + $number * $beat;
            $chord = $this->clock->at($tick);
            array_push(
                $notes,
                ...$chord === null ? [] : $this->struck($chord, $tick, $tick + (int) (0.7 * $beat), 1, $loudness[$number % 2]),
            );
        }

        return $notes;
    }

    /**
     * @param array{float, float} $loudness of plain ones, of accented ones
     *
     * @return list<BandNote>
     */
    public function inRhythm(int $bar, CompRhythm $rhythm, array $loudness): array
    {
        $from = $this->course->bars[$bar]->tick;
        $notes = [];
        foreach ($rhythm->struck() as ['at' => $at, 'ticks' => $ticks, 'hard' => $hard]) {
            $chord = $this->clock->at($from + $at);
            if ($chord !== null) {
                $until = $from + $at + $ticks;
                array_push($notes, ...$this->struck($chord, $from + $at, $until, $rhythm->grid, $loudness[$hard ? 1 : 0]));
            }
        }

        return $notes;
    }

    /**
     * @param list<Hit>            $hits     of the guitar, struck together with it
     * @param array{float, float} $loudness of plain ones, of accented ones
     *
     * @return list<BandNote>
     */
    public function with(array $hits, array $loudness): array
    {
        return array_merge([], ...array_map(
            fn (Hit $hit): array => $this->struck($hit->chord, $hit->tick, $hit->until, $hit->division, $loudness[$hit->hard ? 1 : 0]),
            $hits,
        ));
    }

    /** @return list<BandNote> */
    private function struck(int $chord, int $tick, int $until, int $division, float $loudness): array
    {
        return array_map(
            static fn (int $midi): BandNote => new BandNote($tick, $until, $division, $midi, $loudness),
            $this->voices[$chord],
        );
    }
}
