<?php

declare(strict_types=1);

namespace App\Providers;

use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\ServiceProvider;

final class AppServiceProvider extends ServiceProvider
{
    /** For one address, and for one machine trying many. */
    private const SIGN_INS_A_MINUTE = 6;

    private const SIGN_INS_A_MINUTE_FROM_ONE_PLACE = 30;

    public function boot(): void
    {
        Model::shouldBeStrict();
        JsonResource::withoutWrapping();
        RateLimiter::for('sign-in', static fn (Request $request): array => [
            Limit::perMinute(self::SIGN_INS_A_MINUTE)->by(mb_strtolower($request->string('email')->toString()).'|'.$request->ip()),
            Limit::perMinute(self::SIGN_INS_A_MINUTE_FROM_ONE_PLACE)->by((string) $request->ip()),
        ]);
    }
}
