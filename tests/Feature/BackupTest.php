<?php

declare(strict_types=1);

use App\Bench\DemoClient;
use App\Bench\DemoServer;
use Gravik\Tests\Support\Examples;
use Illuminate\Support\Str;
use Symfony\Component\Process\Process;

/** @return array{int, string} status and what was said */
function artisanIn(string $folder, string ...$command): array
{
    $process = new Process([PHP_BINARY, 'artisan', ...$command], base_path(), [
        'DB_CONNECTION' => 'sqlite', 'DB_DATABASE' => "{$folder}/gravik.sqlite", 'SOUNDS_PATH' => "{$folder}/sounds", 'CACHE_PATH' => "{$folder}/cache",
    ], null, 120);
    $process->run();

    return [(int) $process->getExitCode(), trim($process->getOutput().$process->getErrorOutput())];
}

it('brings back into an empty folder what was there at one moment, while saves went on', function (): void {
    $server = DemoServer::start();
    $empty = sys_get_temp_dir().'/gravik-restored-'.bin2hex(random_bytes(4));
    mkdir($empty);
    touch("{$empty}/gravik.sqlite");
    try {
        $take = (new PDO("sqlite:{$server->folder}/gravik.sqlite"))->query('select id from takes limit 1')->fetchColumn();
        (new PDO("sqlite:{$server->folder}/gravik.sqlite"))->exec("update takes set sound_at = 0.5 where id = '{$take}'");
        mkdir("{$server->folder}/sounds/sounds", 0o700, true);
        file_put_contents("{$server->folder}/sounds/sounds/{$take}", 'RIFF of a take');
        $client = new DemoClient($server->address());
        $id = mb_strtolower((string) Str::ulid());
        $client->post('/api/breakdowns', ['id' => $id, 'document' => Examples::document(), 'sitting' => 'one']);
        $backup = new Process([PHP_BINARY, 'artisan', 'gravik:backup', "{$server->folder}/school.zip"], base_path(), [
            'DB_CONNECTION' => 'sqlite', 'DB_DATABASE' => "{$server->folder}/gravik.sqlite", 'SOUNDS_PATH' => "{$server->folder}/sounds",
        ]);
        $backup->start();
        for ($revision = 1; $backup->isRunning() || $revision < 5; $revision++) {
            $client->put("/api/breakdowns/{$id}", [
                'document' => Examples::document(['title' => "Save {$revision}"]), 'revision' => $revision, 'sitting' => "s{$revision}",
            ]);
        }
        expect($backup->getExitCode())->toBe(0)->and($backup->getOutput())->toContain('2 people, 1 sounds');
        [$status, $said] = artisanIn($empty, 'gravik:restore', "{$server->folder}/school.zip");
        expect($said)->toContain('2 people are back')->and($status)->toBe(0);
        $of = static fn (string $folder, string $query): array => (new PDO("sqlite:{$folder}/gravik.sqlite"))->query($query)->fetchAll(PDO::FETCH_NUM);
        [[$title, $at]] = $of($empty, "select title, revision from breakdowns where id = '{$id}'");

        expect($of($empty, 'pragma integrity_check'))->toBe([['ok']])
            ->and($of($empty, 'select id from takes order by id'))->toBe($of($server->folder, 'select id from takes order by id'))
            // One moment: the breakdown and its versions agree, however many saves came after.
            ->and($title)->toBe($at === 1 ? 'Tide Table' : 'Save '.($at - 1))->and($at)->toBeLessThanOrEqual($revision)
            ->and($of($empty, "select max(number) from breakdown_revisions where breakdown_id = '{$id}' and refused = 0"))->toBe([[$at]])
            ->and(file_get_contents("{$empty}/sounds/sounds/{$take}"))->toBe('RIFF of a take');
        // Not over people, and nothing that is no backup.
        [$status, $said] = artisanIn($empty, 'gravik:restore', "{$server->folder}/school.zip");
        expect($status)->toBe(1)->and($said)->toContain('2 people in this Gravik already');
        file_put_contents("{$server->folder}/half.zip", substr((string) file_get_contents("{$server->folder}/school.zip"), 0, 5000));
        [$status, $said] = artisanIn($empty, 'gravik:restore', "{$server->folder}/half.zip", '--force');
        expect($status)->toBe(1)->and($said)->toContain('is no backup')->and($of($empty, 'select count(*) from users'))->toBe([[2]]);
        [$status, $said] = artisanIn($empty, 'gravik:backup', "{$empty}/no/such/folder.zip");
        expect($status)->toBe(1)->and($said)->toContain('cannot be written');
    } finally {
        $server->stop();
        (new Process(['rm', '-rf', $empty]))->run();
    }
});
