<?php

declare(strict_types=1);

namespace Gravik\Strokes\Hand;

use Gravik\Strokes\Counting;
use Gravik\Strokes\Direction;
use Gravik\Strokes\Hand\Internal\Faults;
use Gravik\Strokes\Hand\Internal\Pendulum;
use Gravik\Strokes\Hand\Internal\Turns;
use Gravik\Strokes\Pattern;
use Gravik\Strokes\School;
use Gravik\Strokes\Stream;
use Gravik\Strokes\Stroke;
use Gravik\Time\Feel;
use Gravik\Time\Ruler;

/** Gives every stroke its direction by a picking school, keeps those the teacher fixed, and says where it gets hard. */
final readonly class HandPlanner
{
    public function plan(Pattern $pattern, School $school, Ruler $ruler, Feel $feel): HandPlan
    {
        $pendulum = new Pendulum($pattern);
        $streams = [];
        $against = [];
        foreach ($pattern->streams as $stream) {
            $strokes = [];
            $directions = match ($school) {
                School::Pendulum => array_map(
                    static fn (Stroke $stroke): Direction => $pendulum->directionAt($stroke->at, $stroke->division),
                    $stream->strokes,
                ),
                School::AllDown => array_map(static fn (): Direction => Direction::Down, $stream->strokes),
                default => (new Turns($school))->directions($stream->strokes),
            };
            foreach ($stream->strokes as $place => $stroke) {
                $given = $stroke->ownDirection() ?? $directions[$place];
                $kept = $stroke->hasFixed('direction') ? $stroke->direction : null;
                if ($kept !== null && $kept !== $given) {
                    $against[] = $stroke->at;
                }
                $strokes[] = $stroke->towards($kept ?? $given);
            }
            $streams[] = new Stream($stream->name, $strokes);
        }
        $directed = $pattern->withStreams($streams);
        $air = $school->passesThroughAir() ? $pendulum->air() : [];

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
            $warnings[] = new Warning(
                WarningKind::BreaksTheSwing,
                sprintf(
                    '%d %s against the swing of the hand (%s): it has to stop or double back there.',
                    count($against),
                    count($against) === 1 ? 'stroke goes' : 'strokes go',
                    Counting::places($pattern, $against),
                ),
                $against,
            );
        }
        array_push($warnings, ...Faults::of($pattern, $school));
        $beat = $ruler->tempo->beatSeconds();
        $same = max(TempoLimit::busiest($pattern, Direction::Down), TempoLimit::busiest($pattern, Direction::Up)) / $beat;
        if ($same > TempoLimit::SAME_DIRECTION['easy']) {
            $hard = $same > TempoLimit::SAME_DIRECTION['hard'];
            $warnings[] = new Warning(WarningKind::SameDirection, sprintf(
                '%.1f strokes a second in one direction %s at this tempo.%s',
                $same, $hard
                    ? 'is more than most hands hold'
                    : 'is hard work', $school === School::AllDown
                    ? ' The pendulum would halve it.'
                    : '',
            ));
        }
        $all = TempoLimit::busiest($pattern, null) / $beat;
        if ($all > TempoLimit::ANY_DIRECTION['easy']) {
            $warnings[] = new Warning(
                WarningKind::TotalRate,
                sprintf(
                    '%.1f strokes a second %s at this tempo.',
                    $all,
                    $all > TempoLimit::ANY_DIRECTION['hard'] ? 'is more than most hands hold' : 'is hard work',
                ),
            );
        }
        $short = $feel->tooShortMs($ruler->tempo);
        if ($short !== null) {
            $warnings[] = new Warning(
                WarningKind::ShortNote,
                sprintf(
                    'The short note of the swing is only %d ms at this tempo, too short to be heard as swing. A straighter feel would speak.',
                    (int) round($short),
                ),
            );
        }

        return $warnings;
    }
}
