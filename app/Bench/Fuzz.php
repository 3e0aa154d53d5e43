<?php

declare(strict_types=1);

namespace App\Bench;

use App\Models\Breakdown;
use App\Models\User;
use Gravik\Formats\BreakdownJson;
use Gravik\Formats\WavFile;
use Illuminate\Contracts\Http\Kernel;
use Illuminate\Http\Request;
use Illuminate\Routing\Route;
use Illuminate\Routing\Router;
use Illuminate\Support\Facades\Auth;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * Sends requests that nobody would: every route there is, with whole bodies of which something was taken, turned round or
 * put in another's place, and with addresses that name nothing. The same seed sends the same ones.
 */
final class Fuzz
{
    private const JUNK = [
        null, true, false, 0, -1, 1, 3, 7.5, 1e308, -1e308, 9223372036854775807, -9223372036854775807, 1e30, '', ' ', '0', 'x', 'NaN', '1e999', "\0", "a\0b", '‮', '♭♭♭', '%00', '../../etc',
        [], [[]], [null], [1, 2, 3], ['a' => ['b' => 'c']], ['symbol' => []], [[[[[[[[1]]]]]]]], 'C', 'A♭9', '| C | G7 |', '4/4', '2026-11-28', '😀',
    ];

    private Randomizer $chance;

    /** @var list<string> what went wrong: status, request, message */
    public array $failures = [];

    public int $sent = 0;

    public function __construct(
        private readonly Kernel $kernel,
        private readonly Router $router,
        private readonly User $user,
        private readonly Breakdown $breakdown,
        int $seed,
    ) {
        $this->chance = new Randomizer(new Mt19937($seed));
    }

    public function run(int $times): void
    {
        $routes = array_values(array_filter(
            $this->router->getRoutes()->getRoutes(),
            static fn (Route $route): bool => str_starts_with($route->uri(), 'api/') && $route->uri() !== 'api/session',
        ));
        for ($time = 0; $time < $times; $time++) {
            $this->send($routes[$this->chance->getInt(0, count($routes) - 1)]);
        }
    }

    private function send(Route $route): void
    {
        $method = $route->methods()[0];
        $path = '/'.preg_replace_callback('/\{(\w+)\??\}/', fn (array $name): string => $this->segment($name[1]), $route->uri());
        $query = http_build_query($this->chance->getInt(0, 3) === 0 ? $this->some($this->words()) : []);
        $sound = preg_match('#hearings|recording|sung|hummed#', $path) === 1;
        $body = $sound ? $this->sound() : (string) json_encode($this->some($this->words()), JSON_PARTIAL_OUTPUT_ON_ERROR);
        $request = Request::create(
            $path.($query === '' ? '' : '?'.$query),
            $method,
            [],
            [],
            [],
            [
                'CONTENT_TYPE' => $sound ? ['audio/wav', 'audio/midi', 'text/plain'][$this->chance->getInt(0, 2)] : 'application/json',
                'HTTP_ACCEPT' => 'application/json',
            ],
            $method === 'GET' ? null : $body,
        );
        Auth::setUser($this->user);
        $response = $this->kernel->handle($request);
        $this->sent++;
        $said = json_decode((string) $response->getContent(), true);
        $message = is_array($said) && is_string($said['message'] ?? null) ? $said['message'] : '';
        $framework = preg_match('/^The .* (field|must|is invalid)|^(Server Error|Not Found|Unauthenticated)|Exception/', $message) === 1;
        if ($response->getStatusCode() >= 500 || ($response->getStatusCode() >= 400 && ($message === '' || $framework))) {
            $this->failures[] = sprintf(
                '%d %s %s %s: %s',
                $response->getStatusCode(),
                $method,
                substr($path.'?'.$query, 0, 160),
                substr($sound ? '(sound)' : $body, 0, 300),
                $message,
            );
        }
    }

    private function segment(string $name): string
    {
        if ($this->chance->getInt(0, 2) > 0) {
            return match ($name) {
                'breakdown', 'id' => $this->breakdown->id,
                'format' => ['midi', 'json', 'mp3'][$this->chance->getInt(0, 2)],
                default => ['1', 'tablet', str_repeat('0', 26)][$this->chance->getInt(0, 2)],
            };
        }

        return [
            '%00',
            'a%00b',
            '%FF%FE',
            '..',
            '-1',
            '99999999999999999999',
            rawurlencode('ü♭'),
            str_repeat('a', 3000),
            '%2e%2e%2f',
            "0'--",
        ][$this->chance->getInt(0, 9)];
    }

    /** @return array<string, mixed> every word that some request knows, each with something it could mean */
    private function words(): array
    {
        $document = (new BreakdownJson())->write((new BreakdownJson())->parse($this->breakdown->document));

        return [
            'document' => $document, 'id' => strtolower(str_repeat('0', 26)), 'sitting' => 'one', 'revision' => 1, 'tempo' => 120, 'bars' => 4, 'level' => 2, 'stage' => 3, 'latency_ms' => 12.5, 'first_beat' => 0.5,
            'taps' => [
                ['t' => 0.1, 'key' => 'down'],
                0.6,
                1.1,
            ], 'clicks' => range(0, 15), 'symbol' => 'C9', 'frets' => $this->chance->getInt(0, 1) === 0
                ? 'x 3 2 3 3 x'
                : [null, 3, 2, 3, 3, null], 'tuning' => 'drop-d', 'capo' => 2,
            'strings' => '6-1', 'company' => 'with-bass', 'hand' => 'small', 'kind' => 'shell', 'before' => [
                'symbol' => 'G7',
                'frets' => [3, 2, 0, 0, 0, 1],
            ], 'limit' => 5, 'key' => 'F minor', 'scale' => 'key', 'position' => 5,
            'chord' => 1, 'steps' => 2, 'slot_ticks' => 480, 'melody' => 'D4 F4 | A4', 'figure' => '5:3 4:5', 'bar' => 1, 'from' => 'standard', 'meter' => '4/4', 'grid' => 4, 'beat' => 1, 'division' => 3, 'accents' => 'back-beat',
            'lengths' => 'long-dry', 'counted' => '1 & 2 &', 'stated' => 'drop D', 'typed' => '2:1', 'unit' => 'eighth', 'strokes' => [
                ['t' => 0.1],
                ['t' => 0.5, 'direction' => 'up'],
            ], 'beats' => [0.0, 0.5, 1.0, 1.5, 2.0],
            'start' => 72, 'goal' => 132, 'minutes' => 9, 'mode' => 'gated', 'step' => 5, 'clean' => [true, false], 'hurts' => false, 'played' => 60, 'rested' => 0, 'rest_after' => 25, 'name' => 'the claw', 'stream' => 0,
            'bias_ms' => 10, 'spread_ms' => 5, 'missed' => 0.1, 'seed' => 4, 'first' => 0.5, 'every' => 0.5, 'count' => 16, 'elsewhere' => true, 'cursor' => 'eyJpZCI6MX0', 'search' => 'tide', 'email' => 'a@b.c', 'password' => 'x',
        ];
    }

    /**
     * One to four places of the body spoiled, anywhere in it.
     *
     * @param array<mixed> $body
     *
     * @return array<mixed>
     */
    private function some(array $body): array
    {
        for ($place = $this->chance->getInt(1, 4); $place > 0; $place--) {
            $body = $this->spoiled($body, $this->chance->getInt(0, 5));
        }

        return $body;
    }

    /**
     * @param array<mixed> $body
     *
     * @return array<mixed>
     */
    private function spoiled(array $body, int $depth): array
    {
        if ($body === []) {
            return [$this->junk()];
        }
        $name = array_keys($body)[$this->chance->getInt(0, count($body) - 1)];
        if ($depth > 0 && is_array($body[$name])) {
            $body[$name] = $this->spoiled($body[$name], $depth - 1);
        } elseif ($this->chance->getInt(0, 5) === 0) {
            unset($body[$name]);
        } else {
            $body[$name] = $this->junk();
        }

        return $body;
    }

    private function junk(): mixed
    {
        return $this->chance->getInt(0, 30) === 0
            ? str_repeat('long ', 20_000)
            : self::JUNK[$this->chance->getInt(0, count(self::JUNK) - 1)];
    }

    private function sound(): string
    {
        $wav = WavFile::write([array_map(fn (): float => $this->chance->getInt(-1000, 1000) / 4000, range(1, 2000))], 2000, 8000);
        for ($byte = $this->chance->getInt(0, 6); $byte > 0; $byte--) {
            $wav[$this->chance->getInt(0, 60)] = chr($this->chance->getInt(0, 255));
        }

        return $this->chance->getInt(0, 4) === 0 ? 'MThd'.substr($wav, 4) : substr($wav, 0, $this->chance->getInt(0, strlen($wav)));
    }
}
