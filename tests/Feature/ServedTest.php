<?php

declare(strict_types=1);

use App\Bench\DemoServer;
use Database\Seeders\DatabaseSeeder;
use Gravik\Performance\Performer;
use Gravik\Simulation\SimulatedPlayer;
use Gravik\Simulation\SimulatedTake;
use Gravik\Tests\Support\Examples;
use Gravik\Time\Tempo;
use GuzzleHttp\Client;
use GuzzleHttp\Cookie\CookieJar;
use GuzzleHttp\Exception\ConnectException;
use Symfony\Component\Process\Process;

it('is served by nginx, php-fpm and a worker from the files that it writes for them', function (): void {
    $server = DemoServer::start();
    $server->kill();
    $port = DemoServer::freePort();
    $run = $server->folder.'/run';
    mkdir($run);
    $me = (string) posix_getpwuid(posix_geteuid())['name'];
    $write = new Process(
        ['bin/deployment', $run, '--name', 'school.test', '--port', (string) $port, '--run', $run, '--user', $me, '--web', $me, '--children', '2'],
        base_path(),
    );
    $write->mustRun();
    // What an operator writes into .env, and what nginx and php-fpm need where nobody has installed them as services.
    $env = ['DB_CONNECTION' => 'sqlite', 'DB_DATABASE' => "{$server->folder}/gravik.sqlite", 'SOUNDS_PATH' => "{$server->folder}/sounds",
        'CACHE_PATH' => "{$server->folder}/cache", 'APP_ENV' => 'production', 'SESSION_DRIVER' => 'database', 'CACHE_STORE' => 'file',
        'QUEUE_CONNECTION' => 'database', 'APP_KEY' => 'base64:'.base64_encode(str_repeat('k', 32))];
    $lines = array_map(static fn (string $name, string $value): string => "env[{$name}] = \"{$value}\"", array_keys($env), $env);
    file_put_contents("{$run}/pool.conf", implode("\n", $lines)."\n", FILE_APPEND);
    file_put_contents("{$run}/fpm.conf", "[global]\nerror_log = {$run}/fpm.log\ndaemonize = no\ninclude = {$run}/pool.conf\n");
    $temporary = implode(' ', array_map(
        static fn (string $what): string => "{$what}_temp_path {$run}/{$what};",
        ['client_body', 'proxy', 'fastcgi', 'uwsgi', 'scgi'],
    ));
    file_put_contents("{$run}/nginx.conf", "user {$me};\ndaemon off;\npid {$run}/nginx.pid;\nerror_log {$run}/nginx.log;\nevents {}\n"
        ."http { access_log off; {$temporary} include {$run}/site.conf; }\n");
    $fpm = new Process(['php-fpm'.PHP_MAJOR_VERSION.'.'.PHP_MINOR_VERSION, '-R', '-y', "{$run}/fpm.conf"]);
    $nginx = new Process(['nginx', '-c', "{$run}/nginx.conf"]);
    foreach ([$fpm, $nginx] as $each) {
        $each->disableOutput()->start();
    }
    try {
        DemoServer::waitForPort($port);
        $cookies = new CookieJar();
        // The name is the school's, whatever machine it runs on.
        $client = new Client(['base_uri' => "http://school.test:{$port}", 'cookies' => $cookies, 'http_errors' => false, 'curl' => [
            CURLOPT_RESOLVE => ["school.test:{$port}:127.0.0.1"],
        ]]);
        $until = microtime(true) + 90;
        while (($page = $client->get('/'))->getStatusCode() !== 200 && microtime(true) < $until) {
            usleep(50_000);
        }
        $html = (string) $page->getBody();
        preg_match('~src="(/build/assets/[^"]+\.js)"~', $html, $script);
        $asset = $client->get($script[1] ?? '/none', ['headers' => ['Accept-Encoding' => 'gzip'], 'decode_content' => false]);

        expect($page->getStatusCode())->toBe(200)->and($html)->toContain('id="gravik"')
            ->and($asset->getHeaderLine('Content-Encoding'))->toBe('gzip')
            ->and($asset->getHeaderLine('Cache-Control'))->toContain('immutable')
            ->and($client->get('/sw.js')->getHeaderLine('Content-Type'))->toContain('javascript')
            ->and($client->get('/manifest.webmanifest')->getStatusCode())->toBe(200)
            ->and($client->get('/.env')->getStatusCode())->toBe(404)
            ->and($client->get('/other.php')->getStatusCode())->toBe(404)
            ->and(static fn () => (new Client())->get("http://127.0.0.1:{$port}/"))->toThrow(ConnectException::class);

        $send = static fn (string $path, array $options): array => json_decode((string) $client->post($path, $options + ['headers' => [
            'Accept' => 'application/json',
            'X-XSRF-TOKEN' => rawurldecode((string) $cookies->getCookieByName('XSRF-TOKEN')?->getValue()),
        ] + ($options['more'] ?? [])])->getBody(), true) ?? [];
        expect($send('/api/session', ['json' => DatabaseSeeder::TEACHER]))->toHaveKey('name');
        ['id' => $song] = $send('/api/breakdowns', ['json' => [
            'id' => $this->newId(), 'document' => Examples::document(), 'sitting' => 'one',
        ]]);
        $timeline = (new Performer())->perform(Examples::breakdown(), new Tempo(120));
        // Larger than what php takes where nobody says otherwise.
        $wav = (new SimulatedTake($timeline, (new SimulatedPlayer(0, 0, 3, 0, 5))->play($timeline, 60)))->wav(44100);
        $id = $this->newId();
        $answer = $send("/api/breakdowns/{$song}/recordings?id={$id}&tempo=120&bars=60", ['body' => $wav, 'more' => ['Content-Type' => 'audio/wav']]);
        expect(strlen($wav))->toBeGreaterThan(8_000_000)->and($answer['state'] ?? $answer)->toBe('waits');
        for ($until = microtime(true) + 90; ; usleep(100_000)) {
            $heard = json_decode((string) $client->get("/api/hearings/{$id}", ['headers' => ['Accept' => 'application/json']])->getBody(), true);
            if (in_array($heard['state'], ['done', 'refused'], true) || microtime(true) > $until) {
                break;
            }
        }
        expect($heard['state'])->toBe('done')->and($heard['take']['report']['missed'])->toBe(0);
    } finally {
        $nginx->stop(2);
        $fpm->stop(2);
        $server->stop();
    }
});
