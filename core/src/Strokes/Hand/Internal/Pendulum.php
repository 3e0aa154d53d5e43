<?php

declare(strict_types=1);

namespace Gravik\Strokes\Hand\Internal;

use Gravik\Strokes\Direction;
use Gravik\Strokes\Hand\AirStroke;
use Gravik\Strokes\Pattern;

/**
 * The rocking hand: down on the grid, up off it, at the eighth or the sixteenth rate. In beats of 3 and 6 it starts
 * down again on every beat; with the middle third unplayed the up falls on the last.
 *
 * @internal used by HandPlanner
 */
final readonly class Pendulum
{
    /** Passes of the hand in a beat of quarters and sixteenths: 2 at the eighth rate, 4 at the sixteenth rate. */
    private int $rate;

    /** @var array<int, array<int, true>> beat => ticks within the beat that are played */
    private array $played;

    /** @var array<int, int> beat => 3 or 6 where it is played in thirds */
    private array $thirds;

    public function __construct(private Pattern $pattern)
    {
        $beatTicks = $pattern->meter->beatTicks();
        $rate = 2;
        $played = [];
        $thirds = [];
        foreach ($pattern->strokes() as $stroke) {
            $beat = intdiv($stroke->at, $beatTicks);
            $within = $stroke->at % $beatTicks;
            $played[$beat][$within] = true;
            if ($stroke->division === 4 && $within % intdiv($beatTicks, 2) !== 0) {
                $rate = 4;
            }
            if ($stroke->division % 3 === 0) {
                $thirds[$beat] = max($thirds[$beat] ?? 3, $stroke->division);
            }
        }
        $this->rate = $rate;
        $this->played = $played;
        $this->thirds = $thirds;
    }

    public function directionAt(int $at, int $division): Direction
    {
        $beatTicks = $this->pattern->meter->beatTicks();
        $within = $at % $beatTicks;
        if ($division === 1) {
            return Direction::Down;
        }
        if ($division % 3 === 0) {
            return $this->inThirds(intdiv($at, $beatTicks), $within);
        }

        return intdiv($within * $this->rate, $beatTicks) % 2 === 0 ? Direction::Down : Direction::Up;
    }

    /** @return list<AirStroke> */
    public function air(): array
    {
        $beatTicks = $this->pattern->meter->beatTicks();
        $air = [];
        for ($beat = 0; $beat < intdiv($this->pattern->ticks, $beatTicks); $beat++) {
            foreach ($this->passes($beat) as [$within, $division]) {
                if (! isset($this->played[$beat][$within])) {
                    $air[] = new AirStroke(
                        $beat * $beatTicks + $within,
                        $division,
                        $this->directionAt($beat * $beatTicks + $within, $division),
                    );
                }
            }
        }

        return $air;
    }

    /** @return list<array{int, int}> where the hand passes the strings in a beat: ticks within it and the division */
    private function passes(int $beat): array
    {
        $beatTicks = $this->pattern->meter->beatTicks();
        $thirds = $this->thirds[$beat] ?? ($this->pattern->meter->isCompound() ? 3 : null);
        if ($thirds === null) {
            return array_map(fn (int $pass): array => [intdiv($pass * $beatTicks, $this->rate), $this->rate], range(0, $this->rate - 1));
        }
        $third = intdiv($beatTicks, 3);
        if ($thirds === 3 && ! isset($this->played[$beat][$third])) {
            return [[0, 3], [2 * $third, 3]];
        }

        return array_map(static fn (int $pass): array => [intdiv($pass * $beatTicks, $thirds), $thirds], range(0, $thirds - 1));
    }

    private function inThirds(int $beat, int $within): Direction
    {
        $division = $this->thirds[$beat] ?? 3;
        $pass = intdiv($within * $division, $this->pattern->meter->beatTicks());
        $middleUnplayed = $division === 3 && ! isset($this->played[$beat][intdiv($this->pattern->meter->beatTicks(), 3)]);
        if ($middleUnplayed && $pass === 2) {
            return Direction::Up;
        }

        return $pass % 2 === 0 ? Direction::Down : Direction::Up;
    }
}
