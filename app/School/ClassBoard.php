<?php

declare(strict_types=1);

namespace App\School;

use App\Models\Assignment;
use App\Models\KeptUpkeep;
use App\Models\Take;
use App\Models\User;
use Carbon\CarbonImmutable;

/** Where each student of a teacher stands: what they are on, where they are stuck and since when, who has not practised. */
final readonly class ClassBoard
{
    private const SITTINGS = 10;

    private const DAYS = 14;

    private const A_DAY = 24 * 60;

    public function __construct(private LastTakes $takes) {}

    /**
     * @return list<array{
     *     student: User, on: ?Assignment, takes: list<TakeNote>, stuck: ?TakeNote, since: ?CarbonImmutable, minutes: int, late: int, new: int
     * }> by name; takes the newest first, minutes of the last fourteen days, checks that are late, takes since yesterday
     */
    public function of(User $teacher): array
    {
        $students = User::taughtBy($teacher)->get()->sortBy('name')->values();
        /** @var list<int> $ids */
        $ids = $students->modelKeys();
        $first = $this->first($ids);
        $takes = $this->takes->of($ids, self::SITTINGS);
        $minutes = $this->minutes($ids);
        $today = CarbonImmutable::today();
        $late = KeptUpkeep::query()->toBase()->selectRaw('student_id, count(*) as checks')->whereIn('student_id', $ids)
            ->where('due_on', '<', $today->toDateString())->groupBy('student_id')->pluck('checks', 'student_id');
        $since = $today->subDay()->toDateTimeString();

        return array_values($students->map(static function (User $student) use ($first, $takes, $minutes, $late, $since): array {
            $own = $takes[$student->id] ?? [];
            $failing = self::failing($own);

            return [
                'student' => $student,
                'on' => $first[$student->id] ?? null,
                'takes' => $own,
                'stuck' => $failing[0] ?? null,
                'since' => $failing === [] ? null : $failing[count($failing) - 1]->playedAt(),
                'minutes' => $minutes[$student->id] ?? 0,
                'late' => (int) $late->get($student->id, 0),
                'new' => count(array_filter($own, static fn (TakeNote $take): bool => $take->at >= $since)),
            ];
        })->all());
    }

    /**
     * What each student comes to first; only that is made, and only the breakdowns of those are fetched.
     *
     * @param list<int> $students
     *
     * @return array<int, Assignment> by student
     */
    private function first(array $students): array
    {
        $ids = [];
        $order = Assignment::query()->toBase()->select(['id', 'student_id'])->whereIn('student_id', $students)
            ->orderByRaw('case when passed_at is null then 0 else 1 end')->orderByRaw("coalesce(due_on, '9999-12-31')")->orderBy('id');
        foreach ($order->get() as $row) {
            ['id' => $id, 'student_id' => $student] = (array) $row;
            $ids[(int) $student] ??= (int) $id;
        }

        return Assignment::listed()->with('breakdown:id,title,meter,owner_id,revision')->whereKey(array_values($ids))->get()
            ->keyBy('student_id')->all();
    }

    /**
     * The newest takes in a row that failed at the same thing.
     *
     * @param list<TakeNote> $takes the newest first
     *
     * @return list<TakeNote>
     */
    private static function failing(array $takes): array
    {
        $failing = [];
        foreach ($takes as $take) {
            if ($take->passed || [$take->breakdown, $take->stage] !== [$takes[0]->breakdown, $takes[0]->stage]) {
                break;
            }
            $failing[] = $take;
        }

        return $failing;
    }

    /**
     * Minutes that were recorded in the last fourteen days.
     *
     * @param list<int> $students
     *
     * @return array<int, int>
     */
    private function minutes(array $students): array
    {
        $rows = Take::query()->toBase()->selectRaw('player_id, sum(seconds) / 60.0 as minutes')->whereIn('player_id', $students)
            ->where('created_at', '>=', CarbonImmutable::now()->subMinutes(self::DAYS * self::A_DAY))->groupBy('player_id')->get();
        $minutes = [];
        foreach ($rows as $row) {
            ['player_id' => $player, 'minutes' => $played] = (array) $row;
            $minutes[(int) $player] = (int) round((float) $played);
        }

        return $minutes;
    }
}
