<?php

declare(strict_types=1);

namespace Gravik\Performance;

use Gravik\Band\BandPart;
use Gravik\Band\LineUp;
use Gravik\Band\Player;
use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\Toolbox;
use Gravik\Chart\VoicedForm;
use Gravik\Performance\Internal\BandEvents;
use Gravik\Performance\Internal\Cues;
use Gravik\Performance\Internal\Glide;
use Gravik\Performance\Internal\Hits;
use Gravik\Performance\Internal\Spans;
use Gravik\Performance\Internal\Sweep;
use Gravik\Strokes\Action;
use Gravik\Strokes\Articulation;
use Gravik\Strokes\Direction;
use Gravik\Strokes\Hand\HandPlanner;
use Gravik\Strokes\Hand\Levels;
use Gravik\Strokes\LengthKind;
use Gravik\Time\Tempo;

/** Plays a breakdown: every part as timed events. */
final readonly class Performer
{
    /** Loudness of a stroke by its accent, and of a ghost stroke. */
    private const ACCENT = [0.45, 0.62, 0.8, 0.97];

    private const GHOST = 0.25;

    /** An up stroke meets the strings a little lighter. */
    private const UP = 0.92;

    /** A string whose end lies this near the next stroke rings until it is struck, even by a player who is late or early. */
    private const UNTIL_STRUCK = 0.05;

    private Spans $spans;

    public function __construct(HandPlanner $planner = new HandPlanner(), private GuitarPart $guitar = new GuitarPart())
    {
        $this->spans = new Spans($planner);
    }

    /**
     * @param ?array<string, VoicedForm> $voiced the grips where they are known already, by line; chosen here otherwise
     * @param int                        $level  1 to 3: how far the guitar's patterns are thinned at most
     */
    public function perform(Breakdown $breakdown, ?Tempo $tempo = null, ?array $voiced = null, int $level = Levels::HIGHEST): Timeline
    {
        $course = $breakdown->course();
        $map = $course->timeMap($tempo);
        $seconds = $map->seconds();
        $voiced ??= [];
        $spans = $strokes = $events = [];
        foreach ($breakdown->guitars() as $part) {
            $spans[] = $of = $this->spans->of($breakdown, $part, $course, $map, $level);
            $voiced = self::voiced($breakdown, $of, $voiced);
            $strokes[] = $played = $this->guitar->play($breakdown, $part, $course, $map, $voiced, $of, $level);
            array_push($events, ...$this->strings($played, $part, $seconds));
        }
        $cues = new Cues(Hits::of($strokes[0], $course), $breakdown->tune($course), $breakdown->styles($course));
        $events = array_merge(
            $events,
            ...array_map(
                static fn (Player $player): array => BandEvents::of($player, $breakdown, $course, $map, $cues),
                LineUp::of($breakdown->parts)->players,
            ),
        );
        $times = array_map(static fn (Event $event): float => $event->t, $events);
        asort($times);
        $inOrder = array_map(static fn (int $place): Event => $events[$place], array_keys($times));

        return new Timeline($map, $course, $voiced, $spans[0], $strokes[0], $inOrder, $seconds);
    }

    /**
     * @param list<Span>                $spans
     * @param array<string, VoicedForm> $voiced what is known already
     *
     * @return array<string, VoicedForm>
     */
    private static function voiced(Breakdown $breakdown, array $spans, array $voiced): array
    {
        foreach ($spans as $span) {
            $voiced[$span->line->id] ??= Toolbox::of($breakdown, $span->line)->voiced();
        }

        return $voiced;
    }

    /**
     * The strings of the guitar's strokes as they sound.
     *
     * @param list<PlayedStroke> $strokes in order of time
     * @param float              $seconds after which the first stroke may come again
     *
     * @return list<Event>
     */
    public function strings(array $strokes, BandPart $part, float $seconds): array
    {
        $events = [];
        $again = $seconds + ($strokes[0]->t ?? 0.0);
        foreach ($strokes as $place => $played) {
            $stroke = $played->stroke;
            $gap = max(0.0, ($strokes[$place + 1]->t ?? $again) - $played->t);
            $step = Sweep::secondsBetweenStrings($stroke, count($played->strings), $gap);
            $ghost = $stroke->articulation === Articulation::Ghost;
            $weight = $ghost || $stroke->action === Action::TapDamp ? self::GHOST : self::ACCENT[$stroke->accent];
            $velocity = min(1.0, $weight * ($stroke->direction === Direction::Up ? self::UP : 1.0) * $part->level * $played->gain);
            foreach ($played->strings as $order => $string) {
                $t = max(0.0, $played->t + $order * $step);
                $dead = $stroke->isDeadOn($order, count($played->strings));
                $touched = $dead && ! $stroke->isDead() ? $t - $played->t : 0.0;
                $dur = max(0.01, self::end($strokes, $place, $order, $again) + $touched - $t);
                $events[] = new Event(
                    $part,
                    $t,
                    $dur,
                    $dead ? null : $played->voicing->midi[$string],
                    $velocity,
                    $dead ? EventKind::Chuck : EventKind::from($stroke->articulation->value),
                    count($played->voicing->frets) - $string,
                    $played->voicing->frets[$string],
                    $stroke->direction,
                    $dead ? [] : Glide::of($played->ornaments[$order] ?? $stroke->ornament, $dur),
                    $played->tick,
                );
            }
        }

        return $events;
    }

    /**
     * A string that rings until it is struck again rings on while the pick is on its way to it; a new grip ends it before.
     *
     * @param list<PlayedStroke> $strokes
     * @param float              $again   seconds at which the first stroke may come again
     */
    private static function end(array $strokes, int $place, int $order, float $again): float
    {
        $played = $strokes[$place];
        $next = $strokes[$place + 1] ?? null;
        $ringsOn = $played->stroke->length === null || $played->stroke->length->kind === LengthKind::UntilNext;
        $nextOrder = $next === null ? false : array_search($played->strings[$order], $next->strings, true);
        if (
            $next === null
            || $next->chord !== $played->chord
            || $nextOrder === false
            || ! $ringsOn
            || $played->stroke->isDeadOn($order, count($played->strings))
            || abs($next->t - $played->ends[$order]) > self::UNTIL_STRUCK
        ) {
            return $played->ends[$order];
        }
        $gap = max(0.0, ($strokes[$place + 2]->t ?? $again) - $next->t);

        return max($played->ends[$order], $next->t + $nextOrder * Sweep::secondsBetweenStrings($next->stroke, count($next->strings), $gap));
    }
}
