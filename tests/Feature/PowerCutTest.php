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

    return [(int) $row['revision'], $row['document'], (int) $kept['number'], $kept['document'], $database->query('pragma integrity_check')->fetchColumn()];
}

it('has either the old document or the new one after the server is killed while it saves', function (): void {
    $server = DemoServer::start();
    $seen = ['old' => 0, 'new' => 0];
    try {
        $stored = json_decode((new DemoClient($server->address()))->post('/api/breakdowns', ['document' => Examples::document(['title' => 'Before']), 'sitting' => 'one']), true);
        $id = $stored['id'];
        $revision = 1;
        foreach (range(0, 11) as $round) {
            $title = "Round {$round}";
            // Saves from a process of its own, so that the power can go at any moment of it.
            $saving = new Process([PHP_BINARY, '-r', <<<'PHP'
                require 'vendor/autoload.php';
                [, $address, $id, $revision, $document] = $argv;
                $client = new App\Bench\DemoClient($address);
                echo "ready\n";
                $client->put('/api/breakdowns/'.$id, ['document' => json_decode($document, true), 'revision' => (int) $revision, 'sitting' => 'one']);
                PHP, $server->address(), $id, (string) $revision, (string) json_encode(Examples::document(['title' => $title, 'notes' => str_repeat('sea ', 4000)]))], base_path());
            $saving->start();
            $saving->waitUntil(static fn (string $type, string $text): bool => str_contains($text, 'ready'));
            usleep(9_000 * $round);
            $server->kill();
            $saving->stop();

            [$now, $document, $number, $kept, $integrity] = inTheFile($server, $id);
            $breakdown = (new BreakdownJson())->parse($document);
            expect($integrity)->toBe('ok')->and($now)->toBeIn([$revision, $revision + 1])
                ->and($breakdown->title === $title)->toBe($now === $revision + 1)
                ->and([$number, $kept])->toBe([$now, $document]);
            $seen[$now === $revision ? 'old' : 'new']++;
            $revision = $now;
            $server->startAgain();
        }
    } finally {
        $server->stop();
    }
    fwrite(STDERR, sprintf("\n  power cut in 12 saves: %d times the old document, %d times the new one\n", $seen['old'], $seen['new']));
    expect($seen['old'] + $seen['new'])->toBe(12)->and($seen['new'])->toBeGreaterThan(0);
});
