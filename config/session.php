<?php

declare(strict_types=1);

return [
    // Files were emptied when the server was killed while it wrote them.
    'driver' => env('SESSION_DRIVER', 'database'),
    'table' => 'sessions',
    'connection' => null,
    'lifetime' => 60 * 24 * 7,
    'expire_on_close' => false,
    'encrypt' => false,
    'lottery' => [2, 100],
    'cookie' => 'gravik_session',
    'path' => '/',
    'http_only' => true,
    'same_site' => 'lax',
    // Otherwise cookies follow the request (App\Http\Middleware\FollowScheme).
    'always_secure' => env('SESSION_SECURE_COOKIE', false),
];
