<?php

declare(strict_types=1);

use App\Models\User;
use Illuminate\Routing\Route as Known;
use Illuminate\Support\Facades\Route;

it('signs a teacher in and out', function (): void {
    $maren = $this->teacher('Maren');
    $this->postJson(
        '/api/session',
        ['email' => 'maren@gravik.test', 'password' => 'harbour-light'],
    )->assertOk()->assertExactJson([
        'id' => $maren->id, 'keeps_sound' => false, 'hand' => 'medium', 'name' => 'Maren', 'email' => 'maren@gravik.test', 'role' => 'teacher', 'owner' => false,
        'neck' => ['left_handed' => false, 'high_on_top' => false],
    ]);
    $this->getJson('/api/session')->assertOk();
    $this->deleteJson('/api/session')->assertNoContent();
    $this->getJson('/api/session')->assertUnauthorized()->assertJsonPath(
        'message',
        'You are signed out. Sign in again; your work is kept.',
    );
});

it('does not tell a wrong password from an unknown address', function (): void {
    $this->teacher('Maren');
    $wrong = $this->postJson(
        '/api/session',
        ['email' => 'maren@gravik.test', 'password' => 'low-tide'],
    )->assertStatus(422)->json('message');
    $unknown = $this->postJson(
        '/api/session',
        ['email' => 'nobody@gravik.test', 'password' => 'low-tide'],
    )->assertStatus(422)->json('message');

    expect($wrong)->toBe($unknown)->toContain('do not belong together');
});

it('asks for what is missing', function (): void {
    $this->postJson('/api/session', [])->assertStatus(422)->assertJsonPath('errors.email.0', 'Type the e-mail address you sign in with.');
});

it('lets nobody guess on and on, each further slip doubling the wait', function (): void {
    $this->teacher('Maren');
    $try = fn (string $password, string $from = '10.0.0.1') => $this->withServerVariables(['REMOTE_ADDR' => $from])->postJson(
        '/api/session',
        ['email' => ' MAREN@gravik.test ', 'password' => $password],
    );
    foreach (range(1, 6) as $slip) {
        $try("guess {$slip}")->assertStatus(422);
    }
    $try('harbour-light')->assertStatus(429)->assertHeader('Retry-After')->assertJsonPath(
        'message',
        'Too many wrong passwords for this address. Wait 30 seconds, then try again.',
    );
    $this->travel(31)->seconds();
    $try('guess 7')->assertStatus(422);
    expect($try('harbour-light')->assertStatus(429)->json('message'))->toContain('60 seconds');
    $try('harbour-light', '10.0.0.2')->assertOk();
});

it('locks nobody out: a class behind one address, and who has signed in here before', function (): void {
    $maren = $this->teacher('Maren');
    $this->teacher('Birger');
    $known = $this->postJson(
        '/api/session',
        ['email' => 'maren@gravik.test', 'password' => 'harbour-light'],
    )->assertOk()->getCookie('gravik_known', true)?->getValue();
    $this->deleteJson('/api/session')->assertNoContent();
    foreach (range(1, 70) as $slip) {
        $this->withServerVariables(['REMOTE_ADDR' => "10.1.0.{$slip}"])->postJson(
            '/api/session',
            ['email' => 'maren@gravik.test', 'password' => 'guess'],
        )->assertStatus($slip <= 60 ? 422 : 429);
    }
    $this->withServerVariables(['REMOTE_ADDR' => '10.1.0.1'])->postJson(
        '/api/session',
        ['email' => 'birger@gravik.test', 'password' => 'harbour-light'],
    )->assertOk();
    $this->withServerVariables(['REMOTE_ADDR' => '10.9.9.9'])->postJson(
        '/api/session',
        ['email' => 'maren@gravik.test', 'password' => 'harbour-light'],
    )->assertStatus(429);
    $this->withCredentials()->withCookie('gravik_known', (string) $known)->withServerVariables(['REMOTE_ADDR' => '10.1.0.1'])->postJson(
        '/api/session',
        ['email' => 'maren@gravik.test', 'password' => 'harbour-light'],
    )->assertOk();
    $maren->update(['password' => 'another-light']);
    $this->withCookie('gravik_known', (string) $known)->postJson(
        '/api/session',
        ['email' => 'maren@gravik.test', 'password' => 'another-light'],
    )->assertStatus(429);
});

it('checks a password for whoever asks, known or not', function (): void {
    $this->teacher('Maren');
    Illuminate\Support\Facades\Hash::spy()->shouldReceive('check')->twice()->andReturn(false);
    Illuminate\Support\Facades\Hash::shouldReceive('make')->andReturn('a hash');
    foreach (['maren', 'nobody'] as $name) {
        $this->postJson('/api/session', ['email' => "{$name}@gravik.test", 'password' => 'low-tide'])->assertStatus(422);
    }
});

it('keeps how each wants necks drawn, for that person alone', function (array $asked, ?string $refused): void {
    $this->actingAs($this->teacher('Maren'));
    $answer = $this->putJson('/api/session/neck', $asked);
    if ($refused !== null) {
        $answer->assertUnprocessable()->assertJsonValidationErrors($refused);
        $asked = ['left_handed' => false, 'high_on_top' => false];
    }
    expect($this->getJson('/api/session')->json('neck'))->toBe($asked)
        ->and($this->actingAs($this->teacher('Ole'))->getJson('/api/session')->json('neck'))
        ->toBe(['left_handed' => false, 'high_on_top' => false]);
})->with([
    'left-handed' => [['left_handed' => true, 'high_on_top' => false], null],
    'the high string on top' => [['left_handed' => false, 'high_on_top' => true], null],
    'half of it' => [['left_handed' => true], 'high_on_top'],
    'a word' => [['left_handed' => 'very', 'high_on_top' => false], 'left_handed'],
]);

it('tells browsers what a page may do, and serves cookies for https alone by https', function (): void {
    $page = $this->get('/')->assertOk();
    $secure = $this->get('https://localhost/');

    expect($page->headers->get('Content-Security-Policy'))->toContain("script-src 'self';")->toContain("frame-ancestors 'none'")
        ->and($page->headers->get('X-Content-Type-Options'))->toBe('nosniff')
        ->and($page->headers->get('Permissions-Policy'))->toContain('microphone=(self)')
        ->and($page->getContent())->not->toContain('<script>')->not->toContain('http://')
        ->and($page->headers->getCookies()[0]->isSecure())->toBeFalse()
        ->and($secure->headers->getCookies()[0]->isSecure())->toBeTrue();
});

it('believes a proxy only where the configuration names it', function (): void {
    $forged = ['HTTP_X_FORWARDED_PROTO' => 'https', 'HTTP_HOST' => 'evil.test', 'REMOTE_ADDR' => '10.0.0.5'];
    expect($this->withServerVariables($forged)->get('/')->headers->getCookies()[0]->isSecure())->toBeFalse();
    Illuminate\Http\Middleware\TrustProxies::at(['10.0.0.5']);
    $page = $this->withServerVariables($forged)->get('/');
    Illuminate\Http\Middleware\TrustProxies::at([]);

    expect($page->headers->getCookies()[0]->isSecure())->toBeTrue()->and($page->getContent())->not->toContain('evil.test');
});

it('keeps passwords hashed and out of every answer', function (): void {
    $maren = $this->teacher('Maren');
    expect($maren->password)->toStartWith('$2y$')->and($maren->toArray())->not->toHaveKey('password');
});

it('answers nobody who is not signed in', function (): void {
    $open = ['POST api/session', 'GET api/start', 'POST api/start', 'GET api/join/{token}', 'POST api/join/{token}', 'POST api/join'];
    $asked = 0;
    foreach (Route::getRoutes() as $route) {
        /** @var Known $route */
        if (str_starts_with($route->uri(), 'api/') && ! in_array("{$route->methods()[0]} {$route->uri()}", $open, true)) {
            $path = (string) preg_replace(
                ['/\{(breakdown|id|take|grip|group|invitation|hearing|balance)\}/', '/\{[^}]+\}/'],
                [str_repeat('0', 26), '1'],
                str_replace('{format}', 'midi', $route->uri()),
            );
            $this->json($route->methods()[0], '/'.$path)->assertUnauthorized();
            $asked++;
        }
    }
    expect($asked)->toBeGreaterThan(18)->and(User::query()->count())->toBe(0);
});

it('gives the page to everybody, and JSON for what is not there', function (): void {
    $this->get('/')->assertOk()->assertSee('Gravik');
    $this->get('/breakdown/anything/lock')->assertOk()->assertSee('id="gravik"', false);
    $this->actingAs($this->teacher());
    foreach (['/api/nothing', '/api', '/api/', '/api/breakdowns/%00', '/api/students/eleven/hand'] as $path) {
        $this->get($path)->assertNotFound()->assertJsonStructure(['message', 'errors']);
    }
});
