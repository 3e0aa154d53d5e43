<?php

declare(strict_types=1);

use App\Bench\DemoClient;
use App\Bench\DemoServer;
use Gravik\Performance\Performer;
use Gravik\Simulation\SimulatedPlayer;
use Gravik\Simulation\SimulatedTake;
use Gravik\Tests\Support\Examples;
use Gravik\Time\Tempo;
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

it('hears what a killed worker left, and judges it once', function (): void {
    $server = DemoServer::start();
    try {
        $client = new DemoClient($server->address());
        $id = mb_strtolower((string) Str::ulid());
        $song = mb_strtolower((string) Str::ulid());
        $client->postAtOnce([['/api/breakdowns', ['id' => $song, 'document' => Examples::document(), 'sitting' => 'one']]]);
        $timeline = (new Performer())->perform(Examples::breakdown(), new Tempo(120));
        $wav = (new SimulatedTake($timeline, (new SimulatedPlayer(0, 0, 3, 0, 5))->play($timeline, 60)))->wav(44100);
        $database = new PDO('sqlite:'.$server->folder.'/gravik.sqlite');
        $database->exec('pragma busy_timeout = 5000');
        $told = static fn (string $what): mixed => $database->query("select {$what} from hearings where id = '{$id}'")->fetchColumn();
        $until = static function (Closure $is): void {
            for ($end = microtime(true) + 120; ! $is(); usleep(20_000)) {
                microtime(true) < $end || throw new RuntimeException('It never happened.');
            }
        };
        $client->sound("/api/breakdowns/{$song}/recordings?id={$id}&tempo=120&bars=60", $wav);
        $until(static fn (): bool => (float) $told('done') > 0);
        expect($told('state'))->toBe('is-heard');
        $server->killWorkers();
        $server->work();
        $until(static fn (): bool => in_array($told('state'), ['done', 'refused'], true));

        expect($told('state'))->toBe('done')->and($database->query("select count(*) from takes where id = '{$id}'")->fetchColumn())->toBe(1);
        $until(static fn (): bool => (int) $database->query('select count(*) from jobs')->fetchColumn() === 0);
    } finally {
        $server->stop();
    }
});
