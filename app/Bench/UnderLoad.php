<?php

declare(strict_types=1);

namespace App\Bench;

use App\Documents\BreakdownStore;
use App\Models\Role;
use App\Models\User;
use Database\Seeders\DemoBreakdowns;
use Illuminate\Contracts\Console\Kernel as Console;
use Illuminate\Contracts\Http\Kernel;
use Illuminate\Database\DatabaseManager;
use Illuminate\Routing\Router;

/** How lists hold in a big school, and what becomes of requests that nobody would send. */
final readonly class UnderLoad
{
    private const REQUESTS = 10_000;

    public function __construct(
        private Console $console,
        private Kernel $kernel,
        private Router $router,
        private DatabaseManager $databases,
        private BreakdownStore $store,
    ) {}

    /** @return list<array{what: string, median: float, worst: ?float, unit: string, asked: string}> */
    public function rows(): array
    {
        return [...$this->lists(), $this->fuzz()];
    }

    /** @return list<array{what: string, median: float, worst: ?float, unit: string, asked: string}> */
    private function lists(): array
    {
        $server = DemoServer::start();
        try {
            $server->artisan('gravik:make-school', '--force');
            $client = new DemoClient($server->address());
            /** @var array{items: list<array{id: string}>, next: string} $shelf */
            $shelf = json_decode($client->get('/api/breakdowns'), true);
            $busiest = $shelf['items'][0]['id'];
            $lists = [
                'the shelf' => '/api/breakdowns',
                'its second page' => '/api/breakdowns?cursor='.$shelf['next'],
                'looking for a word' => '/api/breakdowns?search=ferry',
                'takes of one breakdown' => "/api/breakdowns/{$busiest}/takes",
                'students' => '/api/students',
                'the class board of all' => '/api/class',
                'the log of a student' => "/api/breakdowns/{$busiest}/log",
                'versions' => "/api/breakdowns/{$busiest}/versions",
            ];
            $rows = [];
            foreach ($lists as $what => $path) {
                $measured = Stopwatch::of(static fn () => $client->get($path));
                $rows[] = [
                    'what' => "HTTP, 10,000 breakdowns and 100,000 takes: {$what}",
                    'median' => round($measured->medianMs, 2),
                    'worst' => round($measured->worstMs, 2),
                    'unit' => 'ms',
                    'asked' => 'under 100 ms',
                ];
            }

            return $rows;
        } finally {
            $server->stop();
        }
    }

    /** @return array{what: string, median: float, worst: ?float, unit: string, asked: string} */
    private function fuzz(): array
    {
        config([
            'database.connections.sqlite.database' => ':memory:',
            'session.driver' => 'array',
            'cache.default' => 'array',
            'logging.default' => 'null',
        ]);
        $this->databases->purge('sqlite');
        $this->console->call('migrate', ['--force' => true]);
        $user = User::query()->create([
            'name' => 'Teacher',
            'email' => 'teacher@gravik.bench',
            'password' => 'harbour-light',
            'role' => Role::Teacher,
        ]);
        $fuzz = new Fuzz(
            $this->kernel,
            $this->router,
            $user,
            $this->store->create($user, null, DemoBreakdowns::all()[0], 'bench'),
            20_261_128,
        );
        $fuzz->run(self::REQUESTS);

        return [
            'what' => sprintf('failures of our own in %s spoiled requests', number_format($fuzz->sent)),
            'median' => (float) count($fuzz->failures),
            'worst' => null,
            'unit' => '',
            'asked' => '0',
        ];
    }
}
