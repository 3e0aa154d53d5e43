<?php

declare(strict_types=1);

namespace App\Bench;

use Database\Seeders\DemoBreakdowns;
use Gravik\Performance\Performer;
use Gravik\Performance\Timeline;
use Gravik\Simulation\SimulatedPlayer;
use Gravik\Simulation\SimulatedTake;
use Gravik\Time\Tempo;
use GuzzleHttp\Client;
use GuzzleHttp\Cookie\CookieJar;
use GuzzleHttp\Handler\CurlMultiHandler;
use GuzzleHttp\HandlerStack;
use GuzzleHttp\Promise\Coroutine;
use GuzzleHttp\Promise\PromiseInterface;
use GuzzleHttp\Promise\Utils;
use GuzzleHttp\TransferStats;
use Illuminate\Support\Str;
use PDO;
use Psr\Http\Message\ResponseInterface;

/** Thirty students at once: each taps takes, and of some recordings are heard at the same time. */
final class Classroom
{
    private const STUDENTS = 30;

    private const TAKES_EACH = 4;

    private const RECORDINGS = 6;

    private const BARS = 16;

    /** Between two takes a student looks at the result and plays again, ms. */
    private const PLAYS_MS = 6000;

    /** @var list<float> */
    private array $seconds = [];

    private int $kept = 0;

    /** One loop for all: with a loop each, one student would wait for another's to end. */
    private CurlMultiHandler $loop;

    public function __construct()
    {
        $this->loop = new CurlMultiHandler();
    }

    /** @return list<array{what: string, median: float, worst: ?float, unit: string, asked: string}> */
    public function rows(): array
    {
        $server = DemoServer::start();
        try {
            $database = new PDO("sqlite:{$server->folder}/gravik.sqlite");
            $song = self::told($database, "select id from breakdowns where title = 'Marzipan Ferry'");
            $this->enrol($database, $song);
            $before = (int) self::told($database, 'select count(*) from takes');
            $timeline = (new Performer())->perform(DemoBreakdowns::all()[0], new Tempo(120));
            $students = array_map(fn (int $number): Client => $this->signedIn($server->address(), $number), range(1, self::STUDENTS));
            $sounds = array_map(
                fn (int $place): PromiseInterface => $this->records($students[$place], $song, $timeline, $place),
                range(0, self::RECORDINGS - 1),
            );
            $taps = array_map(
                fn (int $place): PromiseInterface => $this->practises($students[$place], $song, $timeline, $place),
                range(0, self::STUDENTS - 1),
            );
            Utils::all([...$sounds, ...$taps])->wait();
            $asked = self::STUDENTS * self::TAKES_EACH + self::RECORDINGS;
            for ($until = microtime(true) + 300; microtime(true) < $until; usleep(200_000)) {
                if ((int) self::told($database, 'select count(*) from takes') === $before + $asked) {
                    break;
                }
            }
            $lost = $before + $asked - (int) self::told($database, 'select count(*) from takes');
            sort($this->seconds);
            $at = fn (float $share): float => round(1000 * $this->seconds[(int) floor($share * (count($this->seconds) - 1))], 1);

            return [
                [
                    'what' => sprintf(
                        '%d students at once, %d recordings in their turn: a tapped take, median and 95th percentile',
                        self::STUDENTS,
                        self::RECORDINGS,
                    ),
                    'median' => $at(0.5), 'worst' => $at(0.95), 'unit' => 'ms', 'asked' => 'under 1 s at the 95th percentile',
                ],
                ['what' => 'takes lost of '.$asked, 'median' => (float) $lost, 'worst' => null, 'unit' => '', 'asked' => '0'],
                [
                    'what' => 'answers that were refused',
                    'median' => (float) (self::STUDENTS * self::TAKES_EACH - $this->kept),
                    'worst' => null,
                    'unit' => '',
                    'asked' => '0',
                ],
            ];
        } finally {
            $server->stop();
        }
    }

    private static function told(PDO $database, string $query): string
    {
        $answer = $database->query($query);

        return $answer === false ? '' : (string) $answer->fetchColumn();
    }

    private function enrol(PDO $database, string $song): void
    {
        $password = password_hash('harbour-light', PASSWORD_BCRYPT, ['cost' => 4]);
        foreach (range(1, self::STUDENTS) as $number) {
            $database->prepare("insert into users (name, email, password, role) values (?, ?, ?, 'student')")
                ->execute(["Bench {$number}", "bench{$number}@gravik.demo", $password]);
            $database->prepare('insert into assignments (breakdown_id, student_id, revision) values (?, ?, 1)')
                ->execute([$song, $database->lastInsertId()]);
        }
    }

    private function signedIn(string $address, int $number): Client
    {
        $client = new Client([
            'base_uri' => $address,
            'cookies' => new CookieJar(),
            'http_errors' => false,
            'handler' => HandlerStack::create($this->loop),
        ]);
        $client->get('/');
        $client->post('/api/session', ['json' => ['email' => "bench{$number}@gravik.demo", 'password' => 'harbour-light']] + self::headers($client));

        return $client;
    }

    private function practises(Client $client, string $song, Timeline $timeline, int $place): PromiseInterface
    {
        return Coroutine::of(function () use ($client, $song, $timeline, $place) {
            foreach (range(1, self::TAKES_EACH) as $number) {
                $answer = yield $client->postAsync("/api/breakdowns/{$song}/takes", ['json' => [
                    'id' => mb_strtolower((string) Str::ulid()), 'tempo' => 120, 'bars' => self::BARS, 'latency_ms' => 0,
                    'taps' => (new SimulatedPlayer(4, -20, 12, 0.02, 31 * $place + $number))->taps($timeline, self::BARS),
                ], 'delay' => $number === 1 ? 200 * $place : self::PLAYS_MS, 'on_stats' => function (TransferStats $stats): void {
                    $this->seconds[] = (float) $stats->getTransferTime();
                }] + self::headers($client));
                $this->kept += $answer instanceof ResponseInterface && $answer->getStatusCode() === 201 ? 1 : 0;
            }
        });
    }

    private function records(Client $client, string $song, Timeline $timeline, int $place): PromiseInterface
    {
        $wav = (new SimulatedTake($timeline, (new SimulatedPlayer(4, -20, 12, 0.0, $place))->play($timeline, self::BARS)))->wav(44100);
        $headers = self::headers($client);
        $headers['headers']['Content-Type'] = 'audio/wav';

        return $client->postAsync(
            "/api/breakdowns/{$song}/recordings?id=".mb_strtolower((string) Str::ulid()).'&tempo=120&bars='.self::BARS,
            ['body' => $wav] + $headers,
        );
    }

    /** @return array{headers: array<string, string>} */
    private static function headers(Client $client): array
    {
        $cookies = $client->getConfig('cookies');
        $token = $cookies instanceof CookieJar ? (string) $cookies->getCookieByName('XSRF-TOKEN')?->getValue() : '';

        return ['headers' => ['Accept' => 'application/json', 'X-XSRF-TOKEN' => rawurldecode($token)]];
    }
}
