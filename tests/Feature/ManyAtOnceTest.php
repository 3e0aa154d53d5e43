<?php

declare(strict_types=1);

use App\Bench\DemoClient;
use App\Bench\DemoServer;
use Gravik\Tests\Support\Examples;
use Illuminate\Support\Str;

it('saves whatever several send at once, and each pressed twice once', function (): void {
    $server = DemoServer::start();
    $newId = static fn (): string => mb_strtolower((string) Str::ulid());
    try {
        $client = new DemoClient($server->address());
        $statuses = [];
        $made = [];
        $takes = [];
        foreach (range(1, 12) as $round) {
            $ids = [$newId(), $newId()];
            array_push($made, ...$ids);
            $create = static fn (string $id): array => [
                '/api/breakdowns',
                ['id' => $id, 'document' => Examples::document(['title' => "Round {$round}"]), 'sitting' => 'one'],
            ];
            array_push($statuses, ...$client->postAtOnce([$create($ids[0]), $create($ids[0]), $create($ids[1]), $create($ids[1])]));
            $takes[] = $id = $newId();
            $take = [
                "/api/breakdowns/{$ids[0]}/takes",
                ['id' => $id, 'tempo' => 120, 'bars' => 2, 'latency_ms' => 0, 'taps' => [0.0, 0.5, 1.0, 1.5, 2.0, 2.5, 3.0]],
            ];
            array_push($statuses, ...$client->postAtOnce([$take, $take, $take, $create($ids[1])]));
        }
        $database = new PDO('sqlite:'.$server->folder.'/gravik.sqlite');
        $count = static fn (string $table, array $ids): int => (int) $database->query("select count(*) from {$table} where id in ('".implode("','", $ids)."')")->fetchColumn();

        expect(array_unique($statuses))->toBe([201])->and($count('breakdowns', $made))->toBe(24)->and($count('takes', $takes))->toBe(12);
    } finally {
        $server->stop();
    }
});
