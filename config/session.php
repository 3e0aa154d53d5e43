<?php

declare(strict_types=1);

return [
    'driver' => env('SESSION_DRIVER', 'file'),
    'lifetime' => 60 * 24 * 7,
    'expire_on_close' => false,
    'encrypt' => false,
    'files' => env('SESSION_FILES', storage_path('framework/sessions')),
    'lottery' => [2, 100],
    'cookie' => 'gravik_session',
    'path' => '/',
    'http_only' => true,
    'same_site' => 'lax',
    'secure' => env('SESSION_SECURE_COOKIE', false),
];
