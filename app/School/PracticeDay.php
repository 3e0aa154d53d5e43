<?php

declare(strict_types=1);

namespace App\School;

use App\Models\Assignment;
use App\Models\KeptUpkeep;
use App\Models\Take;
use App\Models\User;
use Carbon\CarbonImmutable;
use Gravik\Lesson\Day\DayItem;
use Gravik\Lesson\Day\DayPlanner;
use Gravik\Lesson\Day\Due;
use Gravik\Lesson\LessonException;
use Illuminate\Database\Eloquent\Collection;

/** What a student practises today: what is assigned and what comes back, fitted into the minutes there are. */
final readonly class PracticeDay
{
    public function __construct(private LastTakes $takes, private DayPlanner $planner) {}

    /**
     * @return list<array{item: DayItem, of: Assignment|KeptUpkeep|null, last: ?Take, stage: string}> in the order in which it is
     *                                                                                    played; stage as it was named
     *
     * @throws LessonException
     */
    public function of(User $student, int $minutes, bool $hurts): array
    {
        $today = CarbonImmutable::today();
        $given = Assignment::listed()->with('breakdown:id,title,revision,owner_id')->where('student_id', $student->id)->get();
        $assignments = $given->where('passed_at', null)->values()->all();
        $checks = KeptUpkeep::query()->with('breakdown:id,title,revision,owner_id')->where('student_id', $student->id)
            ->where('due_on', '<=', $today->toDateString())->get()->all();
        $last = $this->takes->ofPlayer($student->id, array_values(array_unique(array_map(
            static fn (Assignment|KeptUpkeep $each): string => $each->breakdown_id,
            [...$assignments, ...$checks],
        ))));
        $due = $things = [];
        foreach ($assignments as $each) {
            $take = $last["{$each->breakdown_id} {$each->stageKey()}"] ?? null;
            $due[] = $made = self::due($each, $take, $today);
            $things[$made->id] = [$each, $take];
        }
        foreach ($checks as $each) {
            $due[] = $made = Due::check("check {$each->id}", $each->upkeep()->daysLate($today), $each->days);
            $things[$made->id] = [$each, $last["{$each->breakdown_id} {$each->stage}"] ?? null];
        }

        return array_map(static fn (DayItem $item): array => [
            'item' => $item,
            'of' => $things[$item->of->id ?? ''][0] ?? null,
            'last' => $things[$item->of->id ?? ''][1] ?? null,
            'stage' => self::named($things[$item->of->id ?? ''][0] ?? null, $given),
        ], $this->planner->plan($due, $minutes, $hurts));
    }

    /**
     * A check has the name that its stage was given under.
     *
     * @param Collection<int, Assignment> $given
     */
    private static function named(Assignment|KeptUpkeep|null $of, Collection $given): string
    {
        if (! $of instanceof KeptUpkeep) {
            return $of?->stageName() ?? '';
        }
        $stages = $given->firstWhere('breakdown_id', $of->breakdown_id)->stages ?? [];

        return array_column($stages, 'name', 'key')[$of->stage] ?? '';
    }

    private static function due(Assignment $assignment, ?Take $last, CarbonImmutable $today): Due
    {
        return Due::assignment(
            "assignment {$assignment->id}",
            $assignment->minutes,
            $assignment->due_on === null ? null : (int) $today->diffInDays($assignment->due_on, false),
            $last?->passed,
            $last->tempo ?? 0.0,
        );
    }
}
