<?php

declare(strict_types=1);

namespace App\Bench;

use App\Documents\BreakdownStore;
use App\Models\Breakdown;
use App\Models\Role;
use App\Models\Take;
use App\Models\User;
use Closure;
use Database\Seeders\DatabaseSeeder;
use Illuminate\Database\DatabaseManager;
use Illuminate\Support\Str;

/** A school as big as any: the demo data's breakdowns and takes again and again, with dates over three years. */
final readonly class School
{
    private const AT_ONCE = 100;

    public function __construct(private DatabaseManager $databases, private BreakdownStore $store) {}

    public function isNew(): bool
    {
        return Breakdown::withTrashed()->count() <= 20;
    }

    /** @param Closure(string): mixed $say */
    public function make(int $breakdowns, int $students, int $takes, Closure $say): void
    {
        $teacher = User::query()->where('email', DatabaseSeeder::TEACHER['email'])->firstOrFail();
        $models = Breakdown::query()->where('owner_id', $teacher->id)->get();
        $models->each(fn (Breakdown $model): array => $this->store->sketch($model));
        $model = Take::query()->firstOrFail();
        $people = array_map(
            static fn (int $number): array => [
                'name' => "Pupil {$number}",
                'email' => "pupil{$number}@gravik.demo",
                'password' => 'cannot sign in',
                'role' => Role::Student->value,
                'created_at' => now(),
                'updated_at' => now(),
            ],
            range(1, $students),
        );
        $this->insert('users', $people);
        $players = User::query()->where('email', 'like', 'pupil%@gravik.demo')->pluck('id')->all();
        $say(count($players).' students');

        $ids = [];
        $rows = [];
        for ($number = 0; $number < $breakdowns; $number++) {
            $copy = $models[$number % count($models)];
            $ids[] = $id = mb_strtolower((string) Str::ulid());
            $rows[] = [
                'id' => $id,
                'title' => "{$copy->title} {$number}",
                'words' => "{$copy->words} {$number}",
                'updated_at' => now()->subMinutes($number * 150),
                'created_at' => now()->subMinutes($number * 150 + 60),
            ]
                + array_diff_key($copy->getAttributes(), ['deleted_at' => true]);
        }
        $this->insert('breakdowns', $rows);
        $say(count($rows).' breakdowns');
        $this->insert(
            'assignments',
            array_map(
                static fn (int $number): array => [
                    'breakdown_id' => $ids[$number % count($ids)],
                    'student_id' => $players[$number % count($players)],
                    'revision' => 1,
                    'due_on' => now()->addDays($number % 14)->toDateString(),
                    'given_by' => $teacher->id,
                    'created_at' => now(),
                    'updated_at' => now(),
                ],
                range(0, 5 * count($players) - 1),
            ),
        );

        $this->insert('taught', array_map(
            static fn (int $player): array => ['teacher_id' => $teacher->id, 'student_id' => $player],
            array_values(array_map(intval(...), $players)),
        ));
        $this->insert('upkeeps', array_map(static fn (int $number): array => [
            'student_id' => $players[$number % count($players)],
            'breakdown_id' => $ids[$number % count($ids)],
            'stage' => '',
            'days' => 8,
            'due_on' => now()->subDays($number % 5)->toDateString(),
            'created_at' => now(),
            'updated_at' => now(),
        ], range(0, 3 * count($players) - 1)));

        $numbers = [];
        $rows = [];
        for ($number = 0; $number < $takes; $number++) {
            // A breakdown that the whole school plays, and thousands that a few do.
            $breakdown = $number % 10 < 1 ? $ids[0] : $ids[$number * 7 % count($ids)];
            $player = $players[$number * 13 % count($players)];
            $numbers["{$breakdown}|{$player}"] = ($numbers["{$breakdown}|{$player}"] ?? 0) + 1;
            $rows[] = [
                'id' => mb_strtolower((string) Str::ulid()),
                'breakdown_id' => $breakdown,
                'player_id' => $player,
                'number' => $numbers["{$breakdown}|{$player}"],
                'created_at' => now()->subMinutes(($takes - $number) * 15),
            ]
                + $model->getAttributes();
            if (count($rows) === 20 * self::AT_ONCE) {
                $this->insert('takes', $rows);
                $rows = [];
            }
        }
        $this->insert('takes', $rows);
        $say("{$takes} takes");
    }

    /** @param list<array<string, mixed>> $rows */
    private function insert(string $table, array $rows): void
    {
        $this->databases->transaction(function () use ($table, $rows): void {
            foreach (array_chunk($rows, self::AT_ONCE) as $some) {
                $this->databases->table($table)->insert($some);
            }
        });
    }
}
