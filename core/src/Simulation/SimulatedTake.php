<?php

declare(strict_types=1);

namespace Gravik\Simulation;

use Gravik\Band\BandPart;
use Gravik\Band\Instrument;
use Gravik\Formats\WavFile;
use Gravik\Performance\Event;
use Gravik\Performance\Performer;
use Gravik\Performance\PlayedStroke;
use Gravik\Performance\Timeline;

/** A take of the simulated player: as taps, or as the sound of its guitar alone, with its truth beside it. */
final readonly class SimulatedTake
{
    /** The player waits so long before bar 1 beat 1, seconds: nothing that comes early is cut off. */
    public const LEAD = 0.5;

    /** @param list<PlayedStroke> $strokes in order of time */
    public function __construct(private Timeline $timeline, private array $strokes) {}

    /** @return string a WAV file whose bar 1 beat 1 lies at LEAD */
    public function wav(int $rate = RenderedBand::RATE): string
    {
        $shifted = array_map(static fn (PlayedStroke $stroke): PlayedStroke => $stroke->shifted(self::LEAD), $this->strokes);
        $seconds = max([0.0, ...array_map(static fn (PlayedStroke $stroke): float => max([$stroke->t, ...$stroke->ends]), $shifted)]);
        $events = (new Performer())->strings($shifted, new BandPart('guitar', Instrument::Guitar, 1.0), $seconds + self::LEAD);
        usort($events, static fn (Event $a, Event $b): int => $a->t <=> $b->t);
        $take = $this->timeline->withStrokes($shifted, $events, $seconds);
        $band = new RenderedBand($rate);

        return WavFile::write($band->blocks($take, [Instrument::Guitar]), $band->samples($take), $rate);
    }

    /** The band with this player in the guitar's place, for as long as the song goes. */
    public function timeline(BandPart $guitar): Timeline
    {
        $strokes = array_map(
            static fn (PlayedStroke $stroke): PlayedStroke => $stroke->t < 0 ? $stroke->shifted(-$stroke->t) : $stroke,
            $this->strokes,
        );
        $others = array_filter($this->timeline->events, static fn (Event $event): bool => $event->part->instrument !== Instrument::Guitar);
        $events = [...(new Performer())->strings($strokes, $guitar, $this->timeline->seconds), ...$others];
        usort($events, static fn (Event $a, Event $b): int => $a->t <=> $b->t);

        return $this->timeline->withStrokes($strokes, $events, $this->timeline->seconds);
    }

    /**
     * @return array{first_beat: float, strokes: list<array{t: float, slot: int, bar: int, direction: string, muted: bool}>} t in seconds from bar 1 beat 1
     */
    public function truth(): array
    {
        return ['first_beat' => self::LEAD, 'strokes' => array_map(static fn (PlayedStroke $stroke): array => [
            't' => round($stroke->t, 5), 'slot' => $stroke->slot, 'bar' => $stroke->bar, 'direction' => $stroke->stroke->direction->value
                ?? 'down', 'muted' => $stroke->stroke->isDead(),
        ], $this->strokes)];
    }
}
