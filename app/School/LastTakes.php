<?php

declare(strict_types=1);

namespace App\School;

use App\Models\Take;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Query\JoinClause;
use Illuminate\Support\Facades\DB;

/** The newest takes of each player, in one query however many there are. */
final readonly class LastTakes
{
    private const COLUMNS = ['id', 'breakdown_id', 'player_id', 'created_at', 'tempo', 'stage', 'passed', 'finding'];

    /**
     * @param list<int> $players ids
     *
     * @return array<int, list<TakeNote>> by player, the newest first
     */
    public function of(array $players, int $most): array
    {
        // For each player the index is read from its end; ranking all their takes would read every one.
        $newest = DB::table('takes as own')->select('own.id')->whereColumn('own.player_id', 'users.id')
            ->orderByDesc('own.created_at')->orderByDesc('own.id')->limit($most);
        $rows = DB::table('users')->join('takes', static fn (JoinClause $join) => $join->whereIn('takes.id', $newest))
            ->whereIn('users.id', $players)->select(array_map(static fn (string $column): string => "takes.{$column}", self::COLUMNS))
            ->orderByDesc('takes.created_at')->orderByDesc('takes.id')->get();
        $byPlayer = [];
        foreach ($rows as $row) {
            $take = TakeNote::of($row);
            $byPlayer[$take->player][] = $take;
        }

        return $byPlayer;
    }

    /**
     * @param list<string> $breakdowns ids
     *
     * @return array<string, Take> the player's newest take of each, by breakdown and stage: "id stage"
     */
    public function ofPlayer(int $player, array $breakdowns): array
    {
        $ranked = Take::query()->toBase()->select(self::COLUMNS)
            ->selectRaw('row_number() over (partition by breakdown_id, stage order by created_at desc, id desc) as place')
            ->where('player_id', $player)->whereIn('breakdown_id', $breakdowns);
        $rows = DB::query()->fromSub($ranked, 'ranked')->where('place', 1)->get();
        $byPlace = [];
        /** @var Collection<int, Take> $takes */
        $takes = Take::query()->hydrate($rows->map(static fn (object $row): array => (array) $row)->all());
        foreach ($takes as $take) {
            $byPlace["{$take->breakdown_id} {$take->stage}"] = $take;
        }

        return $byPlace;
    }
}
