<?php

declare(strict_types=1);

namespace Gravik\Band;

use Gravik\Chart\Course;

/** Plays the drums of a groove, bar after bar. */
final readonly class Drummer implements Player
{
    private const LOUDNESS = ['g' => 0.2, 'x' => 0.5, 'X' => 0.85];

    /** How loud a fill begins, and by how much it grows. */
    private const FILL = [0.4, 0.45];

    public function __construct(private BandPart $part) {}

    public function part(): BandPart
    {
        return $this->part;
    }

    public function play(Course $course, array $bars): array
    {
        $known = [];
        $notes = [];
        foreach ($course->bars as $number => $bar) {
            $groove = $bars[$number]->role === Role::Out ? null : $bars[$number]->groove;
            if ($groove === null) {
                continue;
            }
            if ($bars[$number]->role === Role::Unison) {
                array_push($notes, ...self::kicks($groove, $bar->tick, $bars[$number]->hits));
                continue;
            }
            $fills = $this->part->way() === Way::Fills && ($course->bars[$number + 1] ?? null)?->visit !== $bar->visit;
            $until = $fills ? $bar->meter->barTicks() - $bar->meter->beatTicks() : PHP_INT_MAX;
            foreach ($known[$groove->slug] ??= self::bar($groove) as [$at, $pitch, $loudness]) {
                if ($at < $until) {
                    $notes[] = new BandNote($bar->tick + $at, $bar->tick + $at + $groove->slotTicks(), $groove->grid, $pitch, $loudness);
                }
            }
            array_push($notes, ...$fills ? self::fill($groove, $bar->until() - $bar->meter->beatTicks()) : []);
        }

        return $notes;
    }

    /** @return list<BandNote> the last beat of a section: the snare on every slot, growing, over the kick */
    private static function fill(Groove $groove, int $from): array
    {
        $notes = [new BandNote($from, $from + $groove->slotTicks(), $groove->grid, Drum::Kick->value, self::LOUDNESS['x'])];
        for ($slot = 0; $slot < $groove->grid; $slot++) {
            $at = $from + $slot * $groove->slotTicks();
            $notes[] = new BandNote(
                $at,
                $at + $groove->slotTicks(),
                $groove->grid,
                Drum::Snare->value,
                self::FILL[0] + ($slot + 1) / $groove->grid * self::FILL[1],
            );
        }

        return $notes;
    }

    /**
     * @param list<Hit> $hits
     *
     * @return list<BandNote> the cymbals keep time, kick and snare strike what the guitar strikes; nothing where it stops
     */
    private static function kicks(Groove $groove, int $from, array $hits): array
    {
        if ($hits === []) {
            return [];
        }
        $notes = [];
        foreach (self::bar($groove) as [$at, $pitch, $loudness]) {
            if (! in_array($pitch, [Drum::Kick->value, Drum::Snare->value, Drum::Rim->value], true)) {
                $notes[] = new BandNote($from + $at, $from + $at + $groove->slotTicks(), $groove->grid, $pitch, $loudness);
            }
        }
        foreach ($hits as $hit) {
            $notes[] = new BandNote($hit->tick, $hit->until, $hit->division, Drum::Kick->value, self::LOUDNESS[$hit->hard ? 'X' : 'x']);
            if ($hit->hard) {
                $notes[] = new BandNote($hit->tick, $hit->until, $hit->division, Drum::Snare->value, self::LOUDNESS['X']);
            }
        }

        return $notes;
    }

    /** @return list<array{int, int, float}> ticks from the bar line, pitch and loudness of every note in a bar */
    private static function bar(Groove $groove): array
    {
        $notes = [];
        foreach ($groove->drums as $drum => $signs) {
            foreach (str_split($signs) as $slot => $sign) {
                if ($sign !== '.') {
                    $notes[] = [$slot * $groove->slotTicks(), Drum::named($drum)->value, self::LOUDNESS[$sign]];
                }
            }
        }

        return $notes;
    }
}
