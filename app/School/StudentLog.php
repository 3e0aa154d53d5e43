<?php

declare(strict_types=1);

namespace App\School;

use App\Models\Breakdown;
use App\Models\KeptUpkeep;
use App\Models\Remark;
use App\Models\Take;
use App\Models\User;
use Carbon\CarbonImmutable;
use Gravik\Breakdown\Gate;
use Gravik\Lesson\Log\LoggedTake;
use Gravik\Lesson\Log\PracticeLog;
use Gravik\Lesson\Log\SlotOfTake;
use Gravik\Lesson\Log\SlotRun;
use Gravik\Lesson\Log\SlotRuns;
use Gravik\Lesson\Log\TakenCheck;
use Illuminate\Database\Eloquent\Collection;

/** What is kept of one student at one breakdown, as the log reads it. */
final readonly class StudentLog
{
    /** The newest takes; years of practice come to fewer. */
    private const MOST = 2000;

    private const COLUMNS = ['id', 'number', 'created_at', 'stage', 'tempo', 'passed', 'seconds'];

    public function __construct(private PracticeLog $log, private SlotRuns $runs) {}

    /** @return Collection<int, User> who has played it, by name; those that somebody may ask for */
    public function players(Breakdown $breakdown, User $asks): Collection
    {
        $players = User::query();
        $breakdown->owner_id === $asks->id
            ? $players->whereIn('id', Take::query()->select('player_id')->where('breakdown_id', $breakdown->id))
            : $players->whereKey($asks->id);

        return $players->get(['id', 'name'])->sortBy('name')->values();
    }

    /**
     * @param Collection<int, User> $players
     * @param ?string               $stage whose slots are looked at, '' for the whole song; null: that of the last take
     */
    public function of(Breakdown $breakdown, Collection $players, ?User $player, ?string $stage): ReadLog
    {
        $takes = $player === null ? [] : self::takes($breakdown, $player);
        $logged = array_map(self::logged(...), $takes);
        $stage ??= $takes === [] ? '' : $takes[count($takes) - 1]->stage;
        [$runs, $gate] = $this->runs(array_filter($takes, static fn (Take $take): bool => $take->stage === $stage));

        return new ReadLog(
            $players,
            $player,
            $takes,
            $this->log->stages($logged, CarbonImmutable::now()),
            $this->log->minutesByDay($logged),
            $player === null ? [] : $this->upkeeps($breakdown, $player, $logged),
            $stage,
            $runs,
            $gate->biasMs,
            $this->runs->finding($runs, $gate->spreadMs),
            $player === null ? new Collection() : self::remarks($breakdown, $player),
        );
    }

    private static function logged(Take $take): LoggedTake
    {
        return new LoggedTake($take->created_at, $take->stage, $take->tempo, $take->passed, $take->seconds);
    }

    /** @return list<Take> the oldest first, without their reports */
    private static function takes(Breakdown $breakdown, User $player): array
    {
        $takes = Take::query()->where('breakdown_id', $breakdown->id)->where('player_id', $player->id);
        $takes->latest()->latest('id')->limit(self::MOST);

        return array_values($takes->get(self::COLUMNS)->reverse()->all());
    }

    /**
     * The slots of the latest takes of one stage, and the gate of the last.
     *
     * @param array<int, Take> $takes of that stage, the oldest first
     *
     * @return array{list<SlotRun>, Gate}
     */
    private function runs(array $takes): array
    {
        $latest = array_slice($takes, -SlotRuns::MOST);
        $reports = Take::query()->whereKey(array_column($latest, 'id'))->get(['id', 'report', 'gate'])->keyBy('id');
        $slots = array_map(static fn (Take $take): array => self::slots($reports[$take->id]->report['slots'] ?? []), $latest);
        $last = $latest === [] ? null : $reports[$latest[count($latest) - 1]->id];
        $usual = new Gate();
        $gate = new Gate($last->gate['bias_ms'] ?? $usual->biasMs, $last->gate['spread_ms'] ?? $usual->spreadMs);

        return [$this->runs->of($slots, $gate->biasMs), $gate];
    }

    /**
     * @param list<LoggedTake> $takes the oldest first
     *
     * @return list<array{kept: KeptUpkeep, checks: list<TakenCheck>}>
     */
    private function upkeeps(Breakdown $breakdown, User $player, array $takes): array
    {
        $kept = KeptUpkeep::query()->where('breakdown_id', $breakdown->id)->where('student_id', $player->id)->oldest('id')->get();

        return array_values($kept->map(fn (KeptUpkeep $each): array => [
            'kept' => $each,
            'checks' => $this->log->checks(
                array_values(array_filter($takes, static fn (LoggedTake $take): bool => $take->stage === $each->stage)),
                $each->created_at,
            ),
        ])->all());
    }

    /** @return Collection<int, Remark> on the player's takes, the oldest first */
    private static function remarks(Breakdown $breakdown, User $player): Collection
    {
        $takes = Take::query()->select('id')->where('breakdown_id', $breakdown->id)->where('player_id', $player->id);
        $remarks = Remark::query()->with('author:id,name');
        $remarks->whereIn('take_id', $takes)->oldest()->oldest('id');

        return $remarks->get();
    }

    /** @return list<SlotOfTake> that were met */
    private static function slots(mixed $kept): array
    {
        $slots = [];
        foreach (is_array($kept) ? $kept : [] as $slot) {
            ['name' => $name, 'bias_ms' => $bias, 'spread_ms' => $spread] = is_array($slot) ? $slot : [];
            if (is_string($name) && is_numeric($bias)) {
                $slots[] = new SlotOfTake($name, (float) $bias, is_numeric($spread) ? (float) $spread : 0.0);
            }
        }

        return $slots;
    }
}
