<?php

declare(strict_types=1);

namespace App\Providers;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Events\TransactionBeginning;
use Illuminate\Http\Middleware\TrustProxies;
use Illuminate\Http\Resources\Json\JsonResource;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\Facades\Vite;
use Illuminate\Support\ServiceProvider;

final class AppServiceProvider extends ServiceProvider
{
    public function boot(): void
    {
        Model::shouldBeStrict();
        JsonResource::withoutWrapping();
        TrustProxies::at(config('app.trusted_proxies'));
        // Never from the Host header, which anybody can forge.
        Vite::createAssetPathsUsing(static fn (string $path): string => '/'.$path);
        // Below PHP 8.4 Laravel leaves a transaction deferred: one that reads first and writes then is refused at once where another
        // worker wrote in between. A write that changes nothing waits for its turn and takes the write lock at the beginning.
        Event::listen(static function (TransactionBeginning $begun): void {
            if ($begun->connection->getDriverName() === 'sqlite' && $begun->connection->transactionLevel() === 1) {
                $begun->connection->statement('update migrations set batch = batch where 0');
            }
        });
    }
}
