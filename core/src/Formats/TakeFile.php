<?php

declare(strict_types=1);

namespace Gravik\Formats;

use Gravik\Listening\Failure\NotATake;
use Gravik\Listening\Hearing\HeardStroke;
use Gravik\Listening\Hearing\Hearing;
use Gravik\Listening\Hearing\NotesHeard;
use Gravik\Listening\Hearing\StrokeListener;
use Gravik\Listening\ListeningException;
use Gravik\Listening\Lock\Take;
use Gravik\Listening\PlayedOnset;
use Gravik\Time\Meter;

/** What was played, from a recording (WAV), a MIDI file or a list of taps (JSON). */
final readonly class TakeFile
{
    /**
     * @param list<PlayedOnset> $strokes in order of time, seconds from the start of the file; those that are not sure among them
     * @param ?Hearing  $hearing of a recording
     * @param ?Meter    $meter   that the file states
     * @param ?string   $remark  what was odd about the file
     * @param ?NotesHeard $written notes that the file states
     */
    private function __construct(
        public array $strokes,
        public ?Hearing $hearing,
        public ?Meter $meter,
        public ?string $remark,
        private ?NotesHeard $written = null,
    ) {}

    /** The notes that sound; of a recording it takes as long as hearing its strokes. Null for taps. */
    public function notes(): ?NotesHeard
    {
        return $this->written ?? $this->hearing?->notes->notes();
    }

    /** @return list<PlayedOnset> those that were played whatever was planned */
    public function sure(): array
    {
        return array_values(array_filter($this->strokes, static fn (PlayedOnset $stroke): bool => $stroke->isSure()));
    }

    /**
     * @param string                  $name    by which it is known, for its ending
     * @param ?\Closure(float): mixed $reached told the share of a recording that has been read, 0 to 1
     *
     * @throws MidiNotReadable|WavNotReadable|ListeningException
     */
    public static function read(
        string $path,
        string $name,
        StrokeListener $listener = new StrokeListener(),
        ?\Closure $reached = null,
    ): self {
        $ending = strtolower(pathinfo($name, PATHINFO_EXTENSION));
        $begins = (string) file_get_contents($path, length: 4);
        if ($begins === 'MThd' || in_array($ending, ['mid', 'midi'], true)) {
            $midi = MidiTake::read((string) file_get_contents($path));

            return new self($midi->strokes, null, $midi->meter, null, $midi->notes);
        }
        if ($ending !== 'wav' && $begins !== 'RIFF') {
            return new self(
                Take::read(json_decode((string) file_get_contents($path), true) ?? throw new NotATake())->taps,
                null,
                null,
                null,
            );
        }
        $source = WavSource::open($path, $reached);
        $hearing = $listener->hearAll($source);

        return new self(
            array_map(static fn (HeardStroke $stroke): PlayedOnset => $stroke->asOnset(), $hearing->strokes),
            $hearing,
            null,
            $source->remark(),
        );
    }
}
