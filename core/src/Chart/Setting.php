<?php

declare(strict_types=1);

namespace Gravik\Chart;

use Gravik\Harmony\Key;
use Gravik\Time\Feel;
use Gravik\Time\Meter;
use Gravik\Time\Ruler;
use Gravik\Time\Tempo;

/** The key, meter, tempo and feel that a song, or a section of it, is in. */
final readonly class Setting
{
    public function __construct(public Key $key, public Meter $meter, public Tempo $tempo, public Feel $feel) {}

    public function reader(): ChartLine
    {
        return new ChartLine($this->key, $this->meter);
    }

    public function ruler(): Ruler
    {
        return new Ruler($this->meter, $this->tempo, $this->feel);
    }

    /** The same setting at another pace: as many times as fast as one tempo is to another. */
    public function scaled(Tempo $from, Tempo $to): self
    {
        $tempo = $this->tempo->bpm === $from->bpm ? $to : new Tempo($this->tempo->bpm * $to->bpm / $from->bpm);

        return new self($this->key, $this->meter, $tempo, $this->feel);
    }

    public function with(?Key $key = null, ?Meter $meter = null, ?Tempo $tempo = null, ?Feel $feel = null): self
    {
        return new self($key ?? $this->key, $meter ?? $this->meter, $tempo ?? $this->tempo, $feel ?? $this->feel);
    }
}
