<?php

declare(strict_types=1);

namespace App\Bench;

use RuntimeException;
use Symfony\Component\Process\Process;

/** The real server on a free port with demo data of its own in a temporary folder: for browser tests and the benchmark. */
final class DemoServer
{
    private Process $process;

    /** @var list<Process> */
    private array $workers = [];

    private function __construct(public readonly string $folder, private readonly int $port)
    {
        $this->process = $this->serve();
        $this->work();
    }

    public static function start(): self
    {
        $folder = sys_get_temp_dir().'/gravik-'.bin2hex(random_bytes(6));
        mkdir($folder, 0o700, true);
        touch($folder.'/gravik.sqlite');
        self::run($folder, 'migrate', '--force', '--seed');

        return new self($folder, self::freePort());
    }

    /** A command over this server's database. */
    public function artisan(string ...$command): void
    {
        self::run($this->folder, ...$command);
    }

    public function address(): string
    {
        return 'http://127.0.0.1:'.$this->port;
    }

    /** Ends the server at once, workers too, as a power cut would. */
    public function kill(): void
    {
        (new Process(['pkill', '-KILL', '-f', '127.0.0.1:'.$this->port]))->run();
        while ($this->process->isRunning()) {
            usleep(5_000);
        }
    }

    public function startAgain(): void
    {
        $this->process = $this->serve();
    }

    public function killWorkers(): void
    {
        array_walk($this->workers, static fn (Process $worker): ?int => $worker->stop(0, SIGKILL));
    }

    /** One worker more, that hears recordings. */
    public function work(): Process
    {
        $worker = new Process(
            [PHP_BINARY, 'artisan', 'queue:work', '--sleep=0.2', '--memory=1000'],
            base_path(),
            self::environment($this->folder),
            null,
            null,
        );
        $worker->disableOutput();
        $worker->start();

        return $this->workers[] = $worker;
    }

    public function stop(): void
    {
        $this->kill();
        array_walk($this->workers, static fn (Process $worker): ?int => $worker->stop(2));
        (new Process(['rm', '-rf', $this->folder]))->run();
    }

    public static function freePort(): int
    {
        $socket = stream_socket_server('tcp://127.0.0.1:0');
        if ($socket === false) {
            throw new RuntimeException('No port is free.');
        }
        $name = (string) stream_socket_get_name($socket, false);
        fclose($socket);

        return (int) substr((string) strrchr($name, ':'), 1);
    }

    public static function waitForPort(int $port): void
    {
        $until = microtime(true) + 90;
        while (microtime(true) < $until) {
            $socket = @stream_socket_client("tcp://127.0.0.1:{$port}", $code, $message, 0.2);
            if ($socket !== false) {
                fclose($socket);

                return;
            }
            usleep(50_000);
        }
        throw new RuntimeException("Nothing answers on port {$port}.");
    }

    private static function run(string $folder, string ...$command): void
    {
        (new Process([PHP_BINARY, 'artisan', ...$command], base_path(), self::environment($folder)))->setTimeout(300)->mustRun();
    }

    private function serve(): Process
    {
        $flags = ['-d', 'opcache.enable=1', '-d', 'opcache.enable_cli=1', '-d', 'post_max_size=260M'];
        $process = new Process(
            [PHP_BINARY, ...$flags, '-S', '127.0.0.1:'.$this->port, '-t', 'public', 'bin/router.php'],
            base_path(),
            self::environment($this->folder),
            null,
            null,
        );
        $process->disableOutput();
        $process->start();
        self::waitForPort($this->port);

        return $process;
    }

    /** @return array<string, string> */
    private static function environment(string $folder): array
    {
        return [
            'APP_ENV' => 'production',
            'APP_KEY' => 'base64:'.base64_encode(str_repeat('k', 32)),
            'DB_CONNECTION' => 'sqlite',
            'DB_DATABASE' => $folder.'/gravik.sqlite',
            'SESSION_DRIVER' => 'database',
            'CACHE_STORE' => 'file',
            'CACHE_PATH' => $folder.'/cache',
            'SOUNDS_PATH' => $folder.'/sounds',
            'QUEUE_CONNECTION' => 'database',
            'QUEUE_RETRY_AFTER' => '3',
            'PHP_CLI_SERVER_WORKERS' => '4',
        ];
    }
}
