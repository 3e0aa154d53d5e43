<?php

declare(strict_types=1);

namespace Gravik\Performance;

use Gravik\Breakdown\Texture;
use Gravik\Chart\Course;
use Gravik\Chart\VoicedForm;
use Gravik\Time\TimeMap;

/** A breakdown played out once, all its passes. t = 0 is bar 1 beat 1; there is no count-in. */
final readonly class Timeline
{
    /**
     * @param array<string, VoicedForm> $voiced  by the id of the line of grips
     * @param list<Span>                $spans   where the guitar plays which pattern, in order of time
     * @param list<PlayedStroke>        $strokes the guitar's strokes whole
     * @param list<Event>               $events  in order of time
     * @param float                     $seconds length of the song
     */
    public function __construct(
        public TimeMap $map,
        public Course $course,
        public array $voiced,
        public array $spans,
        public array $strokes,
        public array $events,
        public float $seconds,
    ) {}

    /**
     * @param list<PlayedStroke> $strokes
     * @param list<Event>        $events
     */
    public function withStrokes(array $strokes, array $events, float $seconds): self
    {
        return new self($this->map, $this->course, $this->voiced, $this->spans, $strokes, $events, $seconds);
    }

    /** @return list<HandInUse> each pattern that is played, as it is played first */
    public function hands(): array
    {
        $hands = [];
        foreach ($this->spans as $span) {
            $hands[$span->hand->named->id] ??= $span->hand;
        }

        return array_values($hands);
    }

    /** @return array<string, array{int, int}> pass => the lowest and the highest fret that is pressed in it */
    public function handsOfPasses(): array
    {
        $hands = [];
        foreach ($this->strokes as $stroke) {
            $pressed = array_filter($stroke->voicing->frets, static fn (?int $fret): bool => $fret !== null && $fret > 0);
            if ($pressed !== []) {
                $pass = $this->course->visits[$this->course->bars[$stroke->bar]->visit]->pass;
                [$low, $high] = $hands[$pass] ?? [PHP_INT_MAX, 0];
                $hands[$pass] = [min($low, ...$pressed), max($high, ...$pressed)];
            }
        }

        return $hands;
    }

    public function bars(): int
    {
        return count($this->course->bars);
    }

    /** Seconds that so many bars last, from the first on; the song is played again where there are more than it has. */
    public function secondsOfBars(int $bars): float
    {
        $round = max(1, $this->bars());

        return intdiv($bars, $round) * $this->seconds + $this->map->secondsAt($this->map->tickOfBar($bars % $round), 1);
    }

    /** The bar that sounds at a moment, from 0, counted on while the song is played again. */
    public function barAt(float $seconds): int
    {
        $round = $this->seconds <= 0 ? 0 : (int) floor(max(0.0, $seconds) / $this->seconds);

        return $round * $this->bars()
            + $this->map->barAt((int) floor($this->map->ticksAt(max(0.0, $seconds) - $round * $this->seconds) + 1e-6));
    }

    /** The slot nearest to a moment, counted through all patterns played; null where nothing is played at all. */
    public function slotNear(float $seconds): ?int
    {
        $round = $this->seconds <= 0 ? 0.0 : floor($seconds / $this->seconds);
        $tick = $this->map->ticksAt($seconds - $round * $this->seconds);

        return $this->spanAt($tick)?->slotNear($tick);
    }

    /** Whether the guitar comps freely at a moment; the song goes round. */
    public function isFreeAt(float $seconds): bool
    {
        $round = $this->seconds <= 0 ? 0.0 : floor($seconds / $this->seconds);

        return $this->spanOver((int) round($this->map->ticksAt($seconds - $round * $this->seconds)))?->texture === Texture::Free;
    }

    /** What the guitar plays at a tick; null where it is out. */
    public function spanOver(int $tick): ?Span
    {
        $span = $this->spanAt($tick);

        return $span !== null && $span->from <= $tick && $tick < $span->until ? $span : null;
    }

    /** What the guitar plays at a tick, or played last before it. */
    public function spanAt(float $tick): ?Span
    {
        $low = 0;
        $high = count($this->spans) - 1;
        while ($low < $high) {
            $middle = intdiv($low + $high + 1, 2);
            if ($this->spans[$middle]->from <= $tick) {
                $low = $middle;
            } else {
                $high = $middle - 1;
            }
        }

        return $this->spans[$low] ?? null;
    }
}
