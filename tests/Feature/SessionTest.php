<?php

declare(strict_types=1);

use App\Models\User;
use Illuminate\Routing\Route as Known;
use Illuminate\Support\Facades\Route;

it('signs a teacher in and out', function (): void {
    $this->teacher('Maren');
    $this->postJson('/api/session', ['email' => 'maren@gravik.test', 'password' => 'harbour-light'])->assertOk()->assertExactJson(['name' => 'Maren', 'role' => 'teacher']);
    $this->getJson('/api/session')->assertOk();
    $this->deleteJson('/api/session')->assertNoContent();
    $this->getJson('/api/session')->assertUnauthorized()->assertJsonPath('message', 'You are signed out. Sign in again; your work is kept.');
});

it('does not tell a wrong password from an unknown address', function (): void {
    $this->teacher('Maren');
    $wrong = $this->postJson('/api/session', ['email' => 'maren@gravik.test', 'password' => 'low-tide'])->assertStatus(422)->json('message');
    $unknown = $this->postJson('/api/session', ['email' => 'nobody@gravik.test', 'password' => 'low-tide'])->assertStatus(422)->json('message');

    expect($wrong)->toBe($unknown)->toContain('do not belong together');
});

it('asks for what is missing', function (): void {
    $this->postJson('/api/session', [])->assertStatus(422)->assertJsonPath('errors.email.0', 'Type the e-mail address you sign in with.');
});

it('lets nobody guess on and on', function (): void {
    $this->teacher('Maren');
    foreach (range(1, 6) as $try) {
        $this->postJson('/api/session', ['email' => 'maren@gravik.test', 'password' => "guess {$try}"])->assertStatus(422);
    }
    $this->postJson('/api/session', ['email' => 'MAREN@gravik.test', 'password' => 'harbour-light'])->assertStatus(429)->assertJsonPath('message', 'Too many tries. Wait a minute, then try again.');
});

it('keeps passwords hashed and out of every answer', function (): void {
    $maren = $this->teacher('Maren');
    expect($maren->password)->toStartWith('$2y$')->and($maren->toArray())->not->toHaveKey('password');
});

it('answers nobody who is not signed in', function (): void {
    $open = ['api/session'];
    $asked = 0;
    foreach (Route::getRoutes() as $route) {
        /** @var Known $route */
        if (str_starts_with($route->uri(), 'api/') && ! (in_array($route->uri(), $open, true) && in_array('POST', $route->methods(), true))) {
            $this->json($route->methods()[0], '/'.preg_replace('/\{[^}]+\}/', '1', $route->uri()))->assertUnauthorized();
            $asked++;
        }
    }
    expect($asked)->toBeGreaterThan(18)->and(User::query()->count())->toBe(0);
});

it('gives the page to everybody, and JSON for what is not there', function (): void {
    $this->get('/')->assertOk()->assertSee('Gravik');
    $this->get('/breakdown/anything/lock')->assertOk()->assertSee('id="gravik"', false);
    $this->actingAs($this->teacher())->get('/api/nothing')->assertNotFound()->assertJsonStructure(['message', 'errors']);
});
