<?php

declare(strict_types=1);

namespace App\School;

use Carbon\CarbonImmutable;
use stdClass;

/** What a board needs of a take; thousands of whole ones would take longer to make than to fetch. */
final readonly class TakeNote
{
    /** @param string $at when it was played, as the database has it */
    private function __construct(
        public string $id,
        public string $breakdown,
        public int $player,
        public string $stage,
        public float $tempo,
        public bool $passed,
        public string $finding,
        public string $at,
    ) {}

    public static function of(stdClass $row): self
    {
        return new self(
            $row->id,
            $row->breakdown_id,
            (int) $row->player_id,
            $row->stage,
            (float) $row->tempo,
            (bool) $row->passed,
            (string) $row->finding,
            $row->created_at,
        );
    }

    public function playedAt(): CarbonImmutable
    {
        return CarbonImmutable::parse($this->at);
    }
}
