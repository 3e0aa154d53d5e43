<?php

declare(strict_types=1);

namespace Gravik\Formats\Internal\Score;

use Gravik\Band\BandPart;
use Gravik\Band\Instrument;
use Gravik\Breakdown\Breakdown;
use Gravik\Chart\CourseChord;
use Gravik\Harmony\ChordSymbol;
use Gravik\Performance\Event;
use Gravik\Performance\PlayedStroke;
use Gravik\Performance\Timeline;
use Gravik\Pitch\NoteName;
use Gravik\Strokes\Articulation;
use Gravik\Strokes\LengthKind;
use Gravik\Strokes\Ornament;

/**
 * A part of a performance as it is written: in straight ticks, each sound until the next or until it is let go.
 *
 * @internal used by MusicXmlFile
 */
final readonly class Sounds
{
    /** A sound that lasts less than this share of the time to the next is written short. */
    private const SHORT = 0.6;

    /** @return non-empty-list<list<Sound>> of the student's guitar: its lines, each in order; two where two are struck */
    public static function ofGuitar(Timeline $timeline): array
    {
        $lines = [0 => []];
        foreach ($timeline->strokes as $stroke) {
            $lines[$stroke->line][] = $stroke;
        }
        ksort($lines);

        return array_map(static fn (array $strokes): array => self::ofLine($timeline, $strokes), array_values($lines));
    }

    /**
     * @param list<PlayedStroke> $strokes in order of time
     *
     * @return list<Sound>
     */
    private static function ofLine(Timeline $timeline, array $strokes): array
    {
        $sounds = [];
        $byTick = [];
        foreach ($strokes as $stroke) {
            $byTick[$stroke->tick] ??= $stroke;
        }
        $ticks = array_keys($byTick);
        foreach ($ticks as $place => $tick) {
            $stroke = $byTick[$tick];
            $next = $ticks[$place + 1] ?? $timeline->course->ticks();
            $until = min($next, $timeline->course->ticks(), self::letGo($stroke, $next));
            $strings = $stroke->strings;
            sort($strings);
            if ($until > $tick) {
                $sounds[] = new Sound(
                    $tick,
                    $until,
                    array_map(static fn (int $string): array => self::guitarNote($stroke, $string), $strings),
                    $stroke,
                    $stroke->stroke->isDead(),
                    self::isShort($stroke),
                );
            }
        }

        return $sounds;
    }

    /** @return list<Sound> of another part, in order */
    public static function ofPart(BandPart $part, Breakdown $breakdown, Timeline $timeline): array
    {
        $byTick = [];
        foreach ($timeline->events as $event) {
            if ($event->part->id === $part->id) {
                $byTick[$event->tick][] = $event;
            }
        }
        ksort($byTick);
        $ticks = array_keys($byTick);
        $sounds = [];
        foreach ($ticks as $place => $tick) {
            $next = min($ticks[$place + 1] ?? $timeline->course->ticks(), $timeline->course->ticks());
            if ($next <= $tick || $tick < 0) {
                continue;
            }
            $events = $byTick[$tick];
            $lasts = $timeline->map->ticksAt($events[0]->t + $events[0]->dur) - $timeline->map->ticksAt($events[0]->t);
            $notes = array_map(static fn (Event $event): array => [
                'midi' => $event->pitch ?? 60,
                'name' => self::spelled($timeline, $tick, $event->pitch ?? 60),
                'string' => $event->string,
                'fret' => $event->fret,
                'ornament' => null,
            ], $events);
            usort($notes, static fn (array $a, array $b): int => $a['midi'] <=> $b['midi']);
            $drums = $part->instrument === Instrument::Drums;
            $sounds[] = new Sound($tick, $next, $notes, dead: $drums, short: ! $drums && $lasts < self::SHORT * ($next - $tick));
        }

        return $sounds;
    }

    /** @return array{midi: int, name: NoteName, string: int, fret: int, ornament: ?Ornament} */
    private static function guitarNote(PlayedStroke $stroke, int $string): array
    {
        $grip = $stroke->voicing;
        $midi = (int) $grip->midi[$string];
        $ornament = $stroke->ornaments[(int) array_search($string, $stroke->strings, true)] ?? $stroke->stroke->ornament;

        return [
            'midi' => $midi,
            'name' => $grip->chord->spell($midi % 12),
            'string' => count($grip->frets) - $string,
            'fret' => (int) $grip->frets[$string],
            'ornament' => $stroke->stroke->isDead() || $ornament?->fitsOn((int) $grip->frets[$string]) === false ? null : $ornament,
        ];
    }

    /** The tick at which a stroke with a length in ticks is let go; a share of a slot is written as a short note. */
    private static function letGo(PlayedStroke $stroke, int $next): int
    {
        $length = $stroke->stroke->length;

        return $length?->kind === LengthKind::InTicks ? $stroke->tick + $length->ticks : $next;
    }

    private static function isShort(PlayedStroke $stroke): bool
    {
        $length = $stroke->stroke->length;

        return ! $stroke->stroke->isDead() && ($stroke->stroke->articulation === Articulation::Short
            || ($length?->kind === LengthKind::ShareOfSlot && $length->share < 1.0));
    }

    private static function spelled(Timeline $timeline, int $tick, int $midi): NoteName
    {
        $chord = self::chordAt($timeline->course->chords, $tick);

        return $chord?->spell($midi % 12) ?? NoteName::plain($midi % 12, true);
    }

    /** @param list<CourseChord> $chords in order of time */
    private static function chordAt(array $chords, int $tick): ?ChordSymbol
    {
        [$low, $high] = [0, count($chords) - 1];
        while ($low < $high) {
            $middle = intdiv($low + $high + 1, 2);
            [$low, $high] = $chords[$middle]->tick <= $tick ? [$middle, $high] : [$low, $middle - 1];
        }

        return $chords[$low]->chord ?? null;
    }
}
