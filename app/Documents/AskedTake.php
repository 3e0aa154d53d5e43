<?php

declare(strict_types=1);

namespace App\Documents;

use Gravik\Breakdown\Arrangement;
use Gravik\Breakdown\StageKey;
use Gravik\Time\Tempo;

/** What a take was asked to be: so many bars at a tempo and a level, in a stage of the lesson, of a saved revision. */
final readonly class AskedTake
{
    /**
     * @param string $id    of the client's making
     * @param ?StageKey $stage null for the whole song
     * @param int    $level of the pattern, 1 to 3
     * @param int    $from  bar of the song with which it begins, from 0
     * @param int    $waited seconds for which it waited on a device without a connection, by that device's own clock
     */
    public function __construct(
        public string $id,
        public Tempo $tempo,
        public int $bars,
        public ?StageKey $stage,
        public int $level,
        public ?float $latencyMs,
        public int $from = 0,
        public Arrangement $arrangement = Arrangement::WithBand,
        public int $waited = 0,
    ) {}

    public function waitedFor(int $seconds): self
    {
        return new self(
            $this->id,
            $this->tempo,
            $this->bars,
            $this->stage,
            $this->level,
            $this->latencyMs,
            $this->from,
            $this->arrangement,
            $seconds,
        );
    }
}
