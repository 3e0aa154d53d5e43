<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Gravik\Breakdown\Desk;
use Gravik\Listening\Feel\FeelMeter;
use Gravik\Listening\Feel\FeelReading;
use Gravik\Listening\ListeningException;
use Gravik\Listening\PlayedOnset;
use Gravik\Listening\Tapped\BeatTaps;
use Gravik\Strokes\Direction;
use Gravik\Time\Meter;
use Gravik\Time\Tempo;

/** Strokes that were heard or tapped, perhaps corrected by hand, and what is known of their beat. */
trait HeardStrokes
{
    /** @return array<string, mixed> */
    private static function strokeRules(): array
    {
        return [
            'strokes' => ['present', 'list', 'max:20000'],
            'strokes.*.t' => ['required', 'numeric', 'between:-10,3600'],
            'strokes.*.direction' => ['nullable', 'in:down,up'],
            'strokes.*.muted' => ['nullable', 'boolean'],
            'strokes.*.level_db' => ['nullable', 'numeric', 'between:-120,120'],
            'strokes.*.length_s' => ['nullable', 'numeric', 'between:0,3600'],
            'beats' => ['sometimes', 'list', 'max:5000'],
            'beats.*' => ['numeric', 'between:-10,3600'],
            'first_beat' => ['sometimes', 'nullable', 'numeric', 'between:-10,3600'],
            'grid' => ['sometimes', 'nullable', 'in:1,2,3,4,6'],
        ];
    }

    /** @return array<string, string> */
    private static function strokeMessages(): array
    {
        return [
            'strokes.*' => 'Strokes are a list of at most 20000, each with its second "t".',
            'grid.*' => 'A beat divides into 1, 2, 3, 4 or 6.',
        ];
    }

    /** @return list<PlayedOnset> in order of time; of beats tapped alone, the beats themselves */
    private function strokes(): array
    {
        /** @var list<array{t: int|float|string, direction?: ?string, muted?: ?bool, level_db?: int|float|string|null, length_s?: int|float|string|null}> $given */
        $given = $this->input('strokes');
        $strokes = array_map(static fn (array $stroke): PlayedOnset => new PlayedOnset(
            (float) $stroke['t'],
            Direction::tryFrom($stroke['direction'] ?? ''),
            $stroke['muted'] ?? null,
            isset($stroke['level_db']) ? (float) $stroke['level_db'] : null,
            isset($stroke['length_s']) ? (float) $stroke['length_s'] : null,
        ), $given);
        $strokes = $strokes === [] ? array_map(static fn (float $beat): PlayedOnset => new PlayedOnset($beat), $this->beats()) : $strokes;
        usort($strokes, static fn (PlayedOnset $a, PlayedOnset $b): int => $a->t <=> $b->t);

        return $strokes;
    }

    /**
     * The feel of these strokes in the meter of the desk, where nobody said another.
     *
     * @throws ListeningException where there are too few
     */
    public function reading(FeelMeter $meter, Desk $desk): FeelReading
    {
        return $meter->measure(
            $this->strokes(),
            $this->meter() ?? $desk->setting->meter,
            $this->knownTempo(),
            $this->firstBeat(),
            $this->grid(),
        );
    }

    private function beatTaps(): ?BeatTaps
    {
        if ($this->beats() === []) {
            return null;
        }
        $strokes = $this->strokes();
        // Strokes that were tapped along with the beats are no better than these.
        $heard = array_filter($strokes, static fn (PlayedOnset $stroke): bool => $stroke->levelDb !== null) !== [];

        return $heard ? BeatTaps::along($this->beats(), $strokes) : BeatTaps::of($this->beats());
    }

    private function meter(): ?Meter
    {
        return $this->input('meter') === null ? null : Meter::parse($this->string('meter')->toString());
    }

    private function knownTempo(): ?Tempo
    {
        return $this->tempo() ?? $this->beatTaps()?->tempo;
    }

    /** Where bar 1 beat 1 lies, seconds; null where nobody knows. */
    private function firstBeat(): ?float
    {
        return $this->input('first_beat') === null ? $this->beatTaps()?->firstBeat : $this->float('first_beat');
    }

    private function grid(): ?int
    {
        return $this->input('grid') === null ? null : $this->integer('grid');
    }

    /** @return list<float> */
    private function beats(): array
    {
        /** @var list<int|float|string> $beats */
        $beats = $this->input('beats') ?? [];

        return array_map(floatval(...), $beats);
    }
}
