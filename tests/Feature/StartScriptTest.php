<?php

declare(strict_types=1);

use Illuminate\Filesystem\Filesystem;
use Symfony\Component\Process\Process;

/** @return array{int, string, string} status, standard output, standard error */
function script(array $words, array $environment = [], ?string $folder = null): array
{
    $process = new Process([($folder ?? base_path()).'/bin/gravik', ...$words], $folder, $environment);
    $process->setTimeout(180)->run();

    return [(int) $process->getExitCode(), $process->getOutput(), trim($process->getErrorOutput())];
}

/** A folder of its own, gone when the tests are over. */
function aside(): string
{
    $folder = sys_get_temp_dir().'/gravik-aside-'.bin2hex(random_bytes(4));
    mkdir($folder);
    register_shutdown_function(static fn () => (new Filesystem())->deleteDirectory($folder));

    return $folder;
}

/** A folder of programs that stand in front of the real ones. */
function programs(array $scripts): string
{
    $folder = aside();
    foreach ($scripts as $name => $body) {
        file_put_contents("{$folder}/{$name}", "#!/bin/sh\n{$body}\n");
        chmod("{$folder}/{$name}", 0o755);
    }

    return $folder;
}

it('stops with one clear line and no half-done setup', function (array $words, string $message): void {
    [$status, $out, $error] = script($words);

    expect($status)->toBe(1)->and($out)->toBe('')->and($error)->toContain($message)->and(substr_count($error, "\n"))->toBe(0);
})->with([
    'a port in words' => [['start', '--port', 'eighty'], '"eighty" is no port. Give a number from 1 to 65535.'],
    'a port past the last' => [['start', '--port', '70000'], 'is no port'],
    'no port after --port' => [['start', '--port'], 'give a port after --port'],
    'an unknown option' => [['start', '--prot', '8090'], '"--prot" is not an option of start'],
]);

it('says that a port is taken and which one to try', function (): void {
    $socket = stream_socket_server('tcp://127.0.0.1:0');
    $port = (int) substr((string) strrchr((string) stream_socket_get_name($socket, false), ':'), 1);
    [$status, , $error] = script(['start', '--port', (string) $port]);

    expect($status)->toBe(1)->and($error)->toContain("port {$port} on 127.0.0.1 is taken")->toContain('bin/gravik start --port');
});

it('names what is too old', function (string $program, string $body, string $message): void {
    [$status, , $error] = script(['setup'], ['PATH' => programs([$program => $body]).':'.getenv('PATH')]);

    expect($status)->toBe(1)->and($error)->toContain($message);
})->with([
    'PHP 8.1' => ['php', 'case "$*" in *PHP_VERSION_ID*) exit 1;; *) echo 8.1.2;; esac', 'PHP 8.1.2 is too old. Install PHP 8.2 or later.'],
    'Node 18' => [
        'node',
        'case "$*" in *process.versions*) echo 18;; *) echo v18.0.0;; esac',
        'Node.js v18.0.0 is too old. Install Node.js 20 or later.',
    ],
]);

it('says which packages to install when it may not install them itself', function (): void {
    $folder = programs(['id' => 'echo 1000', 'php' => 'case "$*" in -m) echo Core;; *MINOR*) echo 8.3;; esac']);
    [$status, , $error] = script(['setup'], ['PATH' => $folder.':'.getenv('PATH')]);

    expect($status)->toBe(1)->and($error)->toContain('sudo apt-get install -y --no-install-recommends php8.3-sqlite3');
});

it('says that its folder cannot be written', function (): void {
    $copy = aside();
    mkdir($copy.'/bin');
    copy(base_path('bin/gravik'), $copy.'/bin/gravik');
    chmod($copy.'/bin/gravik', 0o755);
    [$status, , $error] = script(['setup'], [], $copy);

    expect($status)->toBe(1)->and($error)->toContain('cannot be written');
});

it('waits while another setup is at work in the same folder', function (): void {
    $copy = aside();
    array_map(
        static fn (string $folder): bool => mkdir("{$copy}/{$folder}", 0o755, true),
        ['bin', '.cache', 'bootstrap/cache', 'database', 'storage/logs', 'storage/framework/cache/data'],
    );
    copy(base_path('bin/gravik'), $copy.'/bin/gravik');
    chmod($copy.'/bin/gravik', 0o755);
    $other = new Process(['bash', '-c', 'exec 9>.cache/setup.lock; flock 9; echo held; while [ ! -e over ]; do sleep 0.05; done'], $copy);
    $other->start();
    $other->waitUntil(static fn (string $type, string $words): bool => str_contains($words, 'held'));
    $second = new Process(
        [$copy.'/bin/gravik', 'setup'],
        $copy,
        ['PATH' => programs(['composer' => 'ls over', 'npm' => 'exit 1']).':'.getenv('PATH')],
    );
    $second->start();
    expect($second->waitUntil(static fn (string $type, string $words): bool => str_contains(
        $words,
        'Another setup is at work in this folder; waiting for it',
    )))->toBeTrue();
    touch($copy.'/over');
    $second->wait();

    // Its first step looked for what the other left behind; the next found no packages.
    expect($second->getOutput())->toContain('Installing PHP packages')
        ->and($second->getErrorOutput())->not->toContain('composer failed')->toContain('npm failed');
});

it('explains itself', function (): void {
    expect(script(['--help'])[1])->toContain('bin/gravik start [--port N]')->and(script(['dance'])[0])->toBe(1);
});
