<?php

declare(strict_types=1);

namespace App\School;

use App\Models\Assignment;
use App\Models\KeptUpkeep;
use App\Models\Take;
use App\Models\User;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;

/** Where each student of a teacher stands: what they are on, where they are stuck and since when, who has not practised. */
final readonly class ClassBoard
{
    private const SITTINGS = 10;

    private const DAYS = 14;

    private const A_DAY = 24 * 60;

    public function __construct(private LastTakes $takes) {}

    /**
     * @return list<array{
     *     student: User, on: ?Assignment, takes: list<Take>, stuck: ?Take, since: ?CarbonImmutable, minutes: int, late: int, new: int
     * }> by name; takes the newest first, minutes of the last fourteen days, checks that are late, takes since yesterday
     */
    public function of(User $teacher): array
    {
        $students = User::taughtBy($teacher)->get()->sortBy('name')->values();
        /** @var list<int> $ids */
        $ids = $students->modelKeys();
        $first = [];
        $assigned = Assignment::query();
        $assigned->whereIn('student_id', $ids);
        foreach ($assigned->get()->sortBy(static fn (Assignment $each): string => $each->order())->all() as $each) {
            $first[$each->student_id] ??= $each;
        }
        // Of the breakdowns only those that are shown.
        (new Collection($first))->load('breakdown:id,title,meter,owner_id,revision');
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
                'since' => $failing === [] ? null : $failing[count($failing) - 1]->created_at,
                'minutes' => $minutes[$student->id] ?? 0,
                'late' => (int) $late->get($student->id, 0),
                'new' => count(array_filter($own, static fn (Take $take): bool => $take->getRawOriginal('created_at') >= $since)),
            ];
        })->all());
    }

    /**
     * The newest takes in a row that failed at the same thing.
     *
     * @param list<Take> $takes the newest first
     *
     * @return list<Take>
     */
    private static function failing(array $takes): array
    {
        $failing = [];
        foreach ($takes as $take) {
            if ($take->passed || [$take->breakdown_id, $take->stage] !== [$takes[0]->breakdown_id, $takes[0]->stage]) {
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
