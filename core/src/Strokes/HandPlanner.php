<?php

declare(strict_types=1);

namespace Gravik\Strokes;

use Gravik\Strokes\Internal\Pendulum;
use Gravik\Time\Feel;
use Gravik\Time\Ruler;

/** Gives every stroke its direction by a picking school, keeps those the teacher fixed, and says where it gets hard. */
final readonly class HandPlanner
{
    /** Strokes a second in one direction, and in both: easy up to the first, hard up to the second (rules of thumb). */
    private const SAME_DIRECTION = ['easy' => 4.0, 'hard' => 6.5];

    private const ANY_DIRECTION = ['easy' => 8.0, 'hard' => 12.0];

    public function plan(Pattern $pattern, School $school, Ruler $ruler, Feel $feel): HandPlan
    {
        $pendulum = new Pendulum($pattern);
        $streams = [];
        $against = [];
        foreach ($pattern->streams as $stream) {
            $strokes = [];
            foreach ($stream->strokes as $stroke) {
                $given = $school === School::AllDown ? Direction::Down : $pendulum->directionAt($stroke->at, $stroke->division);
                $kept = $stroke->hasFixed('direction') ? $stroke->direction : null;
                if ($kept !== null && $kept !== $given) {
                    $against[] = $stroke->at;
                }
                $strokes[] = $stroke->towards($kept ?? $given);
            }
            $streams[] = new Stream($stream->name, $strokes);
        }
        $directed = $pattern->withStreams($streams);
        $air = $school === School::AllDown ? [] : $pendulum->air();

        return new HandPlan($directed, $air, $this->warnings($directed, $school, $ruler, $feel, $against));
    }

    /**
     * @param list<int> $against ticks of strokes whose fixed direction goes against the hand
     *
     * @return list<Warning>
     */
    private function warnings(Pattern $pattern, School $school, Ruler $ruler, Feel $feel, array $against): array
    {
        $warnings = [];
        if ($against !== [] && $school === School::Pendulum) {
            $warnings[] = new Warning('breaks-the-swing', sprintf('%d %s against the swing of the hand: it has to stop or double back there.', count($against), count($against) === 1 ? 'stroke goes' : 'strokes go'), $against);
        }
        $same = max($this->busiest($pattern, $ruler, Direction::Down), $this->busiest($pattern, $ruler, Direction::Up));
        if ($same > self::SAME_DIRECTION['easy']) {
            $hard = $same > self::SAME_DIRECTION['hard'];
            $warnings[] = new Warning('same-direction', sprintf(
                '%.1f strokes a second in one direction %s at this tempo.%s',
                $same, $hard ? 'is more than most hands hold' : 'is hard work', $school === School::AllDown ? ' The pendulum would halve it.' : '',
            ));
        }
        $all = $this->busiest($pattern, $ruler, null);
        if ($all > self::ANY_DIRECTION['easy']) {
            $warnings[] = new Warning('total-rate', sprintf('%.1f strokes a second %s at this tempo.', $all, $all > self::ANY_DIRECTION['hard'] ? 'is more than most hands hold' : 'is hard work'));
        }
        $short = $feel->tooShortMs($ruler->tempo);
        if ($short !== null) {
            $warnings[] = new Warning('short-note', sprintf('The short note of the swing is only %d ms at this tempo, too short to be heard as swing. A straighter feel would speak.', (int) round($short)));
        }

        return $warnings;
    }

    /** Strokes a second in the busiest bar. */
    private function busiest(Pattern $pattern, Ruler $ruler, ?Direction $direction): float
    {
        $bar = $pattern->meter->barTicks();
        $counts = array_fill(0, $pattern->bars(), 0);
        foreach ($pattern->strokes() as $stroke) {
            if ($direction === null || $stroke->direction === $direction) {
                $counts[intdiv($stroke->at, $bar)]++;
            }
        }

        return max(0, ...$counts) / $ruler->seconds($pattern->meter->beats());
    }
}
