<?php

declare(strict_types=1);

use App\Bench\Fuzz;
use Illuminate\Contracts\Http\Kernel;
use Illuminate\Routing\Router;

it('answers whatever is sent, in our own words, and never with a failure of its own', function (int $seed): void {
    $teacher = $this->teacher();
    $fuzz = new Fuzz(app(Kernel::class), app(Router::class), $teacher, $this->shelved($teacher), $seed);
    $fuzz->run(400);

    expect($fuzz->failures)->toBe([])->and($fuzz->sent)->toBe(400);
})->with([1, 2]);
