<?php

declare(strict_types=1);

use App\Bench\DemoClient;
use App\Bench\DemoServer;
use Gravik\Formats\BreakdownJson;
use Gravik\Tests\Support\Examples;
use Symfony\Component\Process\Process;

/** What is really in the database file, read without the server. */
function inTheFile(DemoServer $server, string $id): array
{
    $database = new PDO('sqlite:'.$server->folder.'/gravik.sqlite');
    $row = $database->query("select revision, document from breakdowns where id = '{$id}'")->fetch(PDO::FETCH_ASSOC);
    $kept = $database->query("select number, document from breakdown_revisions where breakdown_id = '{$id}' order by number desc, id desc limit 1")->fetch(PDO::FETCH_ASSOC);

    return [
        (int) $row['revision'],
        $row['document'],
        (int) $kept['number'],
        $kept['document'],
        $database->query('pragma integrity_check')->fetchColumn(),
    ];
}

it('has either the old document or the new one after the server is killed while it saves, and every take it has answered for', function (): void {
    $server = DemoServer::start();
    $seen = ['old' => 0, 'new' => 0];
    $kept = [];
    try {
        $stored = json_decode(
            (new DemoClient($server->address()))->post(
                '/api/breakdowns',
                ['document' => Examples::document(['title' => 'Before']), 'sitting' => 'one'],
            ),
            true,
        );
        $id = $stored['id'];
        $revision = 1;
        foreach (range(0, 8) as $round) {
            $title = "Round {$round}";
            // Saves from a process of its own, so that the power can go at any moment of it.
            $saving = new Process([PHP_BINARY, '-r', <<<'PHP'
                require 'vendor/autoload.php';
                [, $address, $id, $revision, $document] = $argv;
                $client = new App\Bench\DemoClient($address);
                echo "ready\n";
                $client->put('/api/breakdowns/'.$id, ['document' => json_decode($document, true), 'revision' => (int) $revision, 'sitting' => 'one']);
                while (true) {
                    $take = strtolower((string) Illuminate\Support\Str::ulid());
                    $client->post('/api/breakdowns/'.$id.'/takes', ['id' => $take, 'tempo' => 120, 'bars' => 2, 'latency_ms' => 0, 'taps' => [0.0, 0.5, 1.0, 1.5, 2.0, 2.5, 3.0]]);
                    echo "kept {$take}\n";
                }
                PHP, $server->address(), $id, (string) $revision, (string) json_encode(Examples::document([
                    'title' => $title,
                    'notes' => str_repeat('sea ', 4000),
                ]))], base_path());
            $saving->start();
            $saving->waitUntil(static fn (string $type, string $text): bool => str_contains($text, 'ready'));
            // In the later rounds the power goes while takes are sent.
            if ($round > 4) {
                $saving->waitUntil(static fn (string $type, string $text): bool => str_contains($text, 'kept'));
            }
            usleep(9_000 * ($round % 5));
            $server->kill();
            $saving->stop();
            preg_match_all('/kept (\w+)/', $saving->getOutput(), $acknowledged);
            array_push($kept, ...$acknowledged[1]);

            [$now, $document, $number, $version, $integrity] = inTheFile($server, $id);
            $breakdown = (new BreakdownJson())->parse($document);
            expect($integrity)->toBe('ok')->and($now)->toBeIn([$revision, $revision + 1])
                ->and($breakdown->title === $title)->toBe($now === $revision + 1)
                ->and([$number, $version])->toBe([$now, $document]);
            $there = (new PDO('sqlite:'.$server->folder.'/gravik.sqlite'))->query('select id from takes')->fetchAll(PDO::FETCH_COLUMN);
            expect(array_diff($kept, $there))->toBe([]);
            $seen[$now === $revision ? 'old' : 'new']++;
            $revision = $now;
            $server->startAgain();
        }
    } finally {
        $server->stop();
    }
    fwrite(
        STDERR,
        sprintf(
            "\n  power cut in 9 saves: %d times the old document, %d times the new one; %d takes answered for\n",
            $seen['old'],
            $seen['new'],
            count($kept),
        ),
    );
    expect($seen['old'] + $seen['new'])->toBe(9)->and($seen['new'])->toBeGreaterThan(0)->and(count($kept))->toBeGreaterThan(0);
});
