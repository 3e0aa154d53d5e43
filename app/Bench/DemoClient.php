<?php

declare(strict_types=1);

namespace App\Bench;

use Database\Seeders\DatabaseSeeder;
use GuzzleHttp\Client;
use GuzzleHttp\Cookie\CookieJar;
use GuzzleHttp\Promise\PromiseInterface;
use GuzzleHttp\Promise\Utils;
use Psr\Http\Message\ResponseInterface;

/** Talks to a DemoServer as the front end does: session cookie and CSRF token. */
final readonly class DemoClient
{
    private Client $client;

    private CookieJar $cookies;

    public function __construct(string $address)
    {
        $this->cookies = new CookieJar();
        $this->client = new Client(['base_uri' => $address, 'cookies' => $this->cookies, 'http_errors' => true]);
        $this->client->get('/');
        $this->post('/api/session', ['email' => DatabaseSeeder::TEACHER['email'], 'password' => DatabaseSeeder::TEACHER['password']]);
    }

    public function get(string $path): string
    {
        return (string) $this->client->get($path, ['headers' => ['Accept' => 'application/json']])->getBody();
    }

    /** @param array<string, mixed> $body */
    public function post(string $path, array $body): string
    {
        return $this->write('POST', $path, $body);
    }

    /** @param array<string, mixed> $body */
    public function put(string $path, array $body): string
    {
        return $this->write('PUT', $path, $body);
    }

    public function sound(string $path, string $wav): string
    {
        $headers = $this->headers();
        $headers['headers']['Content-Type'] = 'audio/wav';

        return (string) $this->client->request('POST', $path, ['body' => $wav] + $headers)->getBody();
    }

    /**
     * Sends all of these at once.
     *
     * @param list<array{string, array<string, mixed>}> $posts path and body
     *
     * @return list<int> status of each answer
     */
    public function postAtOnce(array $posts): array
    {
        $sent = array_map(
            fn (array $post): PromiseInterface => $this->client->requestAsync(
                'POST',
                $post[0],
                ['json' => $post[1], 'http_errors' => false] + $this->headers(),
            ),
            $posts,
        );

        return array_map(static fn (ResponseInterface $answer): int => $answer->getStatusCode(), array_values(Utils::unwrap($sent)));
    }

    /** @param array<string, mixed> $body */
    private function write(string $method, string $path, array $body): string
    {
        return (string) $this->client->request($method, $path, ['json' => $body] + $this->headers())->getBody();
    }

    /** @return array{headers: array<string, string>} */
    private function headers(): array
    {
        $token = (string) $this->cookies->getCookieByName('XSRF-TOKEN')?->getValue();

        return ['headers' => ['Accept' => 'application/json', 'X-XSRF-TOKEN' => rawurldecode($token)]];
    }
}
