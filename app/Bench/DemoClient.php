<?php

declare(strict_types=1);

namespace App\Bench;

use Database\Seeders\DatabaseSeeder;
use GuzzleHttp\Client;
use GuzzleHttp\Cookie\CookieJar;

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

    /** @param array<string, mixed> $body */
    private function write(string $method, string $path, array $body): string
    {
        $token = (string) $this->cookies->getCookieByName('XSRF-TOKEN')?->getValue();

        return (string) $this->client->request($method, $path, ['json' => $body, 'headers' => ['Accept' => 'application/json', 'X-XSRF-TOKEN' => rawurldecode($token)]])->getBody();
    }
}
