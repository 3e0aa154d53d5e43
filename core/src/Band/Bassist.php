<?php

declare(strict_types=1);

namespace Gravik\Band;

use Gravik\Chart\ChordClock;
use Gravik\Chart\Course;
use Gravik\Harmony\ChordSymbol;

/** Plays the bass line of a groove over the chords of the form; where a chord begins its root comes first. */
final readonly class Bassist implements Player
{
    private const LOUDNESS = 0.75;

    private const STEP_BELOW = 1;

    /** Stands in where the chord has no third or fifth of its own. */
    private const FIFTH = 7;

    private BassRoots $roots;

    public function __construct(private BandPart $part)
    {
        $this->roots = new BassRoots();
    }

    public function part(): BandPart
    {
        return $this->part;
    }

    public function play(Course $course, array $bars): array
    {
        $clock = new ChordClock($course);
        $stays = $this->part->way() === Way::Ostinato;
        $doubling = Doubling::of($bars, $this->part->ambit());
        $home = null;
        $notes = [];
        foreach ($course->bars as $number => $bar) {
            $home = $bar->inVisit === 0 ? null : $home;
            if ($bars[$number]->role === Role::Unison) {
                array_push($notes, ...$this->roots->with($bars[$number]->hits, $course));
                continue;
            }
            if ($bars[$number]->role === Role::Doubles) {
                array_push($notes, ...$doubling->in($bars[$number], self::LOUDNESS));
                continue;
            }
            $groove = $bars[$number]->role === Role::Out ? null : $bars[$number]->groove;
            if ($groove === null) {
                continue;
            }
            [$line, $grid] = $this->lineOf($groove);
            $slotTicks = intdiv($bar->meter->beatTicks(), $grid);
            $signs = str_split($line);
            foreach ($signs as $slot => $sign) {
                $tick = $bar->tick + $slot * $slotTicks;
                $chord = $clock->at($tick);
                if ($sign === '.' || $sign === '-' || $chord === null) {
                    continue;
                }
                $here = $course->chords[$chord];
                $home ??= $here->chord;
                $pitch = match (true) {
                    $stays => $this->pitch($sign, $home, $home),
                    $here->tick === $tick => $this->roots->of($here->chord),
                    default => $this->pitch($sign, $here->chord, $course->chords[$clock->after($chord)]->chord),
                };
                $until = $bar->tick + ($slot + $this->slotsHeld($signs, $slot)) * $slotTicks;
                $notes[] = new BandNote($tick, $until, $grid, $pitch, self::LOUDNESS);
            }
        }

        return $notes;
    }

    /** @return array{string, int} signs of one bar, and slots a beat */
    private function lineOf(Groove $groove): array
    {
        $beats = $groove->meter->beats();
        $cycle = match ($this->part->way()) {
            Way::RootFifth => ['R', '5'],
            Way::TwoFeel => ['R-', '5-'],
            Way::Octaves => ['R8'],
            Way::Boogie => ['RR', '35', '66', '53'],
            default => [],
        };
        if ($cycle === []) {
            return [$groove->bass, $groove->grid];
        }
        $line = '';
        while (strlen($line) < 2 * $beats) {
            $line .= $cycle[intdiv(strlen($line), strlen($cycle[0])) % count($cycle)];
        }

        return match ($this->part->way()) {
            Way::RootFifth => [substr($line, 0, $beats), 1],
            Way::TwoFeel => [substr($line, 0, $beats), 1],
            default => [substr($line, 0, 2 * $beats), 2],
        };
    }

    /** @param list<string> $signs */
    private function slotsHeld(array $signs, int $slot): int
    {
        $held = 1;
        while (($signs[$slot + $held] ?? '') === '-') {
            $held++;
        }

        return $held;
    }

    private function pitch(string $sign, ChordSymbol $chord, ChordSymbol $next): int
    {
        if ($sign === '>') {
            return $this->roots->of($next) - self::STEP_BELOW;
        }
        $root = $this->roots->of($chord);
        foreach ($chord->degrees() as $degree) {
            if ((string) $degree->number === $sign) {
                return $root + $degree->semitones();
            }
        }

        return $root + (in_array($sign, ['3', '5'], true) ? self::FIFTH : 0);
    }
}
