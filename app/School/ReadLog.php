<?php

declare(strict_types=1);

namespace App\School;

use App\Models\KeptUpkeep;
use App\Models\Remark;
use App\Models\Take;
use App\Models\User;
use Gravik\Lesson\Log\LoggedStage;
use Gravik\Lesson\Log\SlotFinding;
use Gravik\Lesson\Log\SlotRun;
use Gravik\Lesson\Log\TakenCheck;
use Illuminate\Database\Eloquent\Collection;

/** The log of one student at one breakdown, as it was read. */
final readonly class ReadLog
{
    /**
     * @param Collection<int, User>   $players those that whoever asks may choose from
     * @param ?User                   $player  null where nobody has played
     * @param list<Take>              $takes   the oldest first, without their reports
     * @param list<LoggedStage>       $stages
     * @param array<string, float>    $minutes by day (YYYY-MM-DD)
     * @param list<array{kept: KeptUpkeep, checks: list<TakenCheck>}> $upkeeps
     * @param string                  $stage   whose slots were looked at
     * @param list<SlotRun>           $runs
     * @param float                   $gateMs  of those slots, either way
     * @param Collection<int, Remark> $remarks the oldest first
     */
    public function __construct(
        public Collection $players,
        public ?User $player,
        public array $takes,
        public array $stages,
        public array $minutes,
        public array $upkeeps,
        public string $stage,
        public array $runs,
        public float $gateMs,
        public ?SlotFinding $finding,
        public Collection $remarks,
    ) {}
}
