<?php

declare(strict_types=1);

namespace Gravik\Band;

use Gravik\Chart\Course;

/** A tune laid over every pass it is played in. */
final readonly class TuneOverCourse
{
    /**
     * Notes beyond the end of a pass are left out, one that sounds over it ends with it.
     *
     * @return array<int, list<BandNote>> by bar of the song, ticks from bar 1; bars without any are left out
     */
    public static function of(?Tune $tune, Course $course): array
    {
        if ($tune === null) {
            return [];
        }
        $from = $until = $notes = [];
        foreach ($course->visits as $visit) {
            $from[$visit->pass] ??= $visit->tick;
            $until[$visit->pass] = $visit->until();
        }
        $next = [];
        foreach ($course->bars as $number => $bar) {
            $pass = $course->visits[$bar->visit]->pass;
            $next[$pass] ??= 0;
            while (isset($tune->notes[$next[$pass]]) && $from[$pass] + $tune->notes[$next[$pass]]->tick < $bar->until()) {
                $note = $tune->notes[$next[$pass]++];
                if ($tune->isPlayedIn($pass)) {
                    $notes[$number][] = new BandNote(
                        $from[$pass] + $note->tick,
                        min($until[$pass], $from[$pass] + $note->until),
                        $note->division,
                        $note->pitch,
                        $note->loudness,
                    );
                }
            }
        }

        return $notes;
    }
}
