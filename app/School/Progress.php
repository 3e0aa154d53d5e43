<?php

declare(strict_types=1);

namespace App\School;

use App\Models\Assignment;
use App\Models\KeptUpkeep;
use App\Models\Take;
use Gravik\Lesson\Day\Upkeep;

/** What a take brings on: a passed gate opens the next stage, and what was passed comes back later to be checked. */
final readonly class Progress
{
    public function took(Take $take): void
    {
        $today = $take->created_at;
        $kept = KeptUpkeep::query()->where('student_id', $take->player_id)->where('breakdown_id', $take->breakdown_id)
            ->where('stage', $take->stage)->first();
        if ($kept !== null) {
            $next = $kept->upkeep()->played($take->passed, $today);
            $kept->update(['days' => $next->days, 'due_on' => $next->due]);
        }
        $assignment = Assignment::listed()->where('student_id', $take->player_id)->where('breakdown_id', $take->breakdown_id)->first();
        $isOn = $assignment !== null && $assignment->passed_at === null && ($assignment->stageKey() ?? '') === $take->stage;
        if (! $isOn || ! $take->passed) {
            return;
        }
        if ($kept === null) {
            $this->keep($take, Upkeep::begun($today));
        }
        if ($assignment->isAtLast()) {
            $assignment->update(['passed_at' => $today]);
        } elseif ($assignment->opens) {
            $assignment->update(['reached' => $assignment->reached + 1]);
        }
    }

    private function keep(Take $take, Upkeep $upkeep): void
    {
        KeptUpkeep::query()->create([
            'student_id' => $take->player_id,
            'breakdown_id' => $take->breakdown_id,
            'stage' => $take->stage,
            'days' => $upkeep->days,
            'due_on' => $upkeep->due,
        ]);
    }
}
