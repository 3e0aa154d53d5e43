<?php

declare(strict_types=1);

use Illuminate\Support\Facades\Route;

// One page; React Router has the rest.
Route::view('/{any?}', 'app')->where('any', '^(?!api(/|$)).*$');
