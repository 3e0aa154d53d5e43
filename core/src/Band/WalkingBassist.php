<?php

declare(strict_types=1);

namespace Gravik\Band;

use Gravik\Chart\ChordClock;
use Gravik\Chart\Course;
use Gravik\Harmony\ChordSymbol;

/** Walks through the chords, a note a beat: what it plays is the cheapest of all ways (`WalkingLine`). */
final readonly class WalkingBassist implements Player
{
    private const LOUDNESS = 0.75;

    public function __construct(private BandPart $part) {}

    public function part(): BandPart
    {
        return $this->part;
    }

    public function play(Course $course, array $bars): array
    {
        $register = $this->part->ambit();
        $line = new WalkingLine($register);
        $roots = new BassRoots($register->low);
        $doubling = Doubling::of($bars, $register);
        $notes = [];
        foreach ($bars as $bar) {
            array_push($notes, ...match ($bar->role) {
                Role::Unison => $roots->with($bar->hits, $course),
                Role::Doubles => $doubling->in($bar, self::LOUDNESS),
                Role::Active, Role::Passive, Role::Four, Role::Out => [],
            });
        }
        foreach (self::stretches($course, $bars) as $beats) {
            foreach ($line->through(array_map(static fn (array $beat): array => [$beat[0], $beat[1]], $beats)) as $place => $pitch) {
                $notes[] = new BandNote($beats[$place][2], $beats[$place][3], 1, $pitch, self::LOUDNESS);
            }
        }

        return $notes;
    }

    /**
     * @param list<PartBar> $bars
     *
     * @return list<non-empty-list<array{ChordSymbol, bool, int, int}>> beats that follow one another: the chord of each, whether
     *                                                                  it begins there, and ticks from and until
     */
    private static function stretches(Course $course, array $bars): array
    {
        $clock = new ChordClock($course);
        $stretches = [];
        $open = false;
        foreach ($course->bars as $number => $bar) {
            $beat = $bar->meter->beatTicks();
            for ($tick = $bar->tick; $tick < $bar->until(); $tick += $beat) {
                $walks = ! in_array($bars[$number]->role, [Role::Out, Role::Unison, Role::Doubles], true);
                $index = $walks ? $clock->at($tick) : null;
                if ($index !== null) {
                    $chord = $course->chords[$index];
                    $stretches[$open ? count($stretches) - 1 : count($stretches)][] = [
                        $chord->chord, $chord->tick > $tick - $beat, $tick, $tick + $beat,
                    ];
                }
                $open = $index !== null;
            }
        }

        return array_values($stretches);
    }
}
