<?php

declare(strict_types=1);

namespace Gravik\Ensemble;

use Gravik\Band\BandPart;
use Gravik\Band\Instrument;
use Gravik\Band\Role;
use Gravik\Band\Style;
use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\Cell;
use Gravik\Breakdown\Change\CellSetter;
use Gravik\Breakdown\Playing;
use Gravik\Chart\ChordClock;
use Gravik\Chart\Visit;
use Gravik\Chart\VoicingLine;
use Gravik\Harmony\ChordSymbol;
use Gravik\Performance\Event;
use Gravik\Performance\Timeline;
use Gravik\Pitch\Pitch;

/** The band as it sounds, part by part and bar by bar. */
final readonly class Heard
{
    /** @var array<string, array<int, list<Event>>> events by part and bar of the song */
    private array $events;

    /** @var array<string, list<Playing>> by part, one for each bar of the song */
    private array $playings;

    /** @var list<Style> one for each bar of the song */
    private array $styles;

    private ChordClock $clock;

    public function __construct(public Breakdown $breakdown, public Timeline $timeline)
    {
        $events = $playings = [];
        foreach ($timeline->events as $event) {
            $events[$event->part->id][$timeline->map->barAt($event->tick)][] = $event;
        }
        foreach ($breakdown->parts as $part) {
            $playings[$part->id] = $breakdown->playings($timeline->course, $part->id);
        }
        [$this->events, $this->playings] = [$events, $playings];
        $this->styles = $breakdown->styles($timeline->course);
        $this->clock = new ChordClock($timeline->course);
    }

    /** @return list<BandPart> guitar and keys */
    public function chordal(): array
    {
        return array_values(array_filter($this->breakdown->parts, static fn (BandPart $part): bool => $part->instrument->isChordal()));
    }

    /** @return list<BandPart> guitar and keys that comp actively in a bar */
    public function leading(int $bar): array
    {
        return array_values(array_filter($this->chordal(), fn (BandPart $part): bool => $this->role($part, $bar)->leads()));
    }

    /** Who solos in the pass of a visit, in the teacher's words; empty where nobody is named. */
    public function soloist(Visit $visit): string
    {
        return array_column($this->breakdown->passes, 'lead', 'id')[$visit->pass] ?? '';
    }

    public function part(Instrument $instrument): ?BandPart
    {
        return array_values(array_filter(
            $this->breakdown->parts,
            static fn (BandPart $part): bool => $part->instrument === $instrument,
        ))[0] ?? null;
    }

    public function role(BandPart $part, int $bar): Role
    {
        return $this->playings[$part->id][$bar]->role;
    }

    /** @return list<Event> of a part that begin in a bar */
    public function in(BandPart $part, int $bar): array
    {
        return $this->events[$part->id][$bar] ?? [];
    }

    /** @return list<int> ticks of the song at which a part strikes in a bar, in order, each once; dead strokes too */
    public function onsets(BandPart $part, int $bar): array
    {
        $ticks = array_values(array_unique(array_map(static fn (Event $event): int => $event->tick, $this->in($part, $bar))));
        sort($ticks);

        return $ticks;
    }

    public function visit(int $bar): Visit
    {
        return $this->timeline->course->visits[$this->timeline->course->bars[$bar]->visit];
    }

    /** What the drums, else the bass, play in a bar belongs to. */
    public function style(int $bar): Style
    {
        return $this->styles[$bar];
    }

    /** “bar 5”, as it is counted through the song. */
    public function barWords(int $bar): string
    {
        return 'bar '.($bar + 1);
    }

    /** Where a tick lies in its bar, as people count it: 2& */
    public function slotWords(int $tick): string
    {
        $stretch = $this->timeline->map->at($tick);
        $beat = $stretch->ruler->meter->beatTicks();
        $inBar = $stretch->inBar($tick);
        $within = $inBar % $beat;

        return (intdiv($inBar, $beat) + 1).match (true) {
            $within === 0 => '',
            2 * $within === $beat => '&',
            3 * $within === $beat => ' trip',
            3 * $within === 2 * $beat => ' let',
            4 * $within === $beat => 'e',
            4 * $within === 3 * $beat => 'a',
            default => '+',
        };
    }

    /** The song with a part in another role in the section and pass of a bar. */
    public function inRole(BandPart $part, Role $role, int $bar): Breakdown
    {
        $visit = $this->visit($bar);

        return (new CellSetter())->set($this->breakdown, $visit->pass, new Cell($part->id, $visit->section->id, role: $role));
    }

    /** The line of grips that a guitar plays in a bar, where it is a written one. */
    public function writtenLine(BandPart $guitar, int $bar): ?VoicingLine
    {
        $line = $this->playings[$guitar->id][$bar]->line;

        return in_array($line, $this->breakdown->lines, true) ? $line : null;
    }

    public function chordAt(int $tick): ?ChordSymbol
    {
        $index = $this->clock->at($tick);

        return $index === null ? null : $this->timeline->course->chords[$index]->chord;
    }

    /**
     * A note as the chord of its moment spells it: A♭2.
     *
     * @param int $midi 0 to 127
     */
    public function noteWords(int $midi, int $tick): string
    {
        $chord = $this->chordAt($tick) ?? $this->visit($this->timeline->map->barAt($tick))->setting->key->tonicTriad();

        return Pitch::ofMidi(max(0, min(127, $midi)), $chord->spell($midi % 12))->text();
    }

    /** The song with a part changed. */
    public function with(BandPart $changed): Breakdown
    {
        return $this->breakdown->with(parts: array_map(
            static fn (BandPart $part): BandPart => $part->id === $changed->id ? $changed : $part,
            $this->breakdown->parts,
        ));
    }

    /** What a part is called: the guitar, the keys. */
    public static function name(BandPart $part): string
    {
        return 'the '.$part->instrument->words();
    }

    /**
     * The bars of a condition, those of one visit together.
     *
     * @param callable(int): bool $holds
     *
     * @return list<non-empty-list<int>>
     */
    public function visitsWhere(callable $holds): array
    {
        $found = [];
        foreach ($this->timeline->course->bars as $number => $bar) {
            if ($holds($number)) {
                $found[$bar->visit][] = $number;
            }
        }

        return array_values($found);
    }
}
