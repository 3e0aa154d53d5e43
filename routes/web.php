<?php

declare(strict_types=1);

use Illuminate\Support\Facades\Route;

// It lies beside what was built and governs the whole site.
Route::get('sw.js', static fn () => response()->file(public_path('build/sw.js'), [
    'Content-Type' => 'text/javascript',
    'Cache-Control' => 'no-cache',
]))->withoutMiddleware('web');

// One page; React Router has the rest.
Route::view('/{any?}', 'app')->where('any', '^(?!api(/|$)).*$');
