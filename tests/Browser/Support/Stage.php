<?php

declare(strict_types=1);

namespace Tests\Browser\Support;

use Facebook\WebDriver\Chrome\ChromeOptions;
use Facebook\WebDriver\Remote\DesiredCapabilities;
use Facebook\WebDriver\Remote\RemoteWebDriver;
use Symfony\Component\Process\Process;

/** A server with demo data of its own and a ChromeDriver, started once for all browser tests and gone with them. */
final class Stage
{
    private static ?self $running = null;

    private const CHROMIUM = ['--headless=new', '--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking',
        '--disable-component-update', '--disable-sync', '--disable-dev-shm-usage', '--window-size=1280,800', '--hide-scrollbars', '--autoplay-policy=no-user-gesture-required'];

    /** @var list<RemoteWebDriver> */
    private array $drivers = [];

    private function __construct(
        public readonly string $address,
        public readonly string $folder,
        private Process $server,
        private readonly Process $chromeDriver,
        private readonly int $driverPort,
    ) {}

    public static function running(): self
    {
        return self::$running ??= self::start();
    }

    /** A fresh browser at 1280 × 800 that nobody has signed in with. */
    public function page(): Page
    {
        $options = new ChromeOptions();
        $profile = $this->folder.'/profile-'.count($this->drivers);
        $options->addArguments([...self::CHROMIUM, '--user-data-dir='.$profile]);
        $options->setExperimentalOption('prefs', ['download.default_directory' => $this->downloads(), 'download.prompt_for_download' => false]);
        $capabilities = DesiredCapabilities::chrome();
        $capabilities->setCapability(ChromeOptions::CAPABILITY, $options);
        $driver = RemoteWebDriver::create('http://127.0.0.1:'.$this->driverPort, $capabilities, 30_000, 120_000);
        $this->drivers[] = $driver;

        return (new Page($driver, $this->address))->resizeInside(1280, 800);
    }

    public function downloads(): string
    {
        return $this->folder.'/downloads';
    }

    /** Ends the server at once, as a power cut would. */
    public function killServer(): void
    {
        $this->server->signal(SIGKILL);
        $this->server->wait();
    }

    public function startServer(): void
    {
        $this->server = self::serve($this->folder, (int) parse_url($this->address, PHP_URL_PORT));
    }

    private static function start(): self
    {
        $folder = sys_get_temp_dir().'/gravik-browser-'.bin2hex(random_bytes(6));
        mkdir($folder.'/downloads', 0o700, true);
        mkdir($folder.'/sessions');
        touch($folder.'/gravik.sqlite');
        $environment = self::environment($folder);
        (new Process([PHP_BINARY, 'artisan', 'migrate', '--force', '--seed'], base_path(), $environment))->setTimeout(120)->mustRun();
        [$port, $driverPort] = [self::freePort(), self::freePort()];
        $server = self::serve($folder, $port);
        $chromeDriver = new Process(['chromedriver', '--port='.$driverPort], null, null, null, null);
        $chromeDriver->start();
        self::waitForPort($driverPort);
        $stage = new self('http://127.0.0.1:'.$port, $folder, $server, $chromeDriver, $driverPort);
        register_shutdown_function($stage->stop(...));

        return $stage;
    }

    private static function serve(string $folder, int $port): Process
    {
        $server = new Process([PHP_BINARY, '-d', 'opcache.enable_cli=1', '-d', 'opcache.jit=tracing', '-d', 'opcache.jit_buffer_size=64M', '-S', '127.0.0.1:'.$port, '-t', 'public', 'bin/router.php'], base_path(), self::environment($folder), null, null);
        $server->start();
        self::waitForPort($port);

        return $server;
    }

    /** @return array<string, string|false> */
    private static function environment(string $folder): array
    {
        return ['APP_ENV' => 'production', 'APP_KEY' => 'base64:'.base64_encode(str_repeat('k', 32)), 'DB_DATABASE' => $folder.'/gravik.sqlite',
            'SESSION_DRIVER' => 'file', 'SESSION_FILES' => $folder.'/sessions', 'CACHE_STORE' => 'file', 'CACHE_PATH' => $folder.'/cache', 'PHP_CLI_SERVER_WORKERS' => '4'];
    }

    private static function freePort(): int
    {
        $socket = stream_socket_server('tcp://127.0.0.1:0') ?: throw new \RuntimeException('No port is free.');
        $name = (string) stream_socket_get_name($socket, false);
        fclose($socket);

        return (int) substr((string) strrchr($name, ':'), 1);
    }

    private static function waitForPort(int $port): void
    {
        $until = microtime(true) + 20;
        while (microtime(true) < $until) {
            $socket = @stream_socket_client("tcp://127.0.0.1:{$port}", $code, $message, 0.2);
            if ($socket !== false) {
                fclose($socket);

                return;
            }
            usleep(50_000);
        }
        throw new \RuntimeException("Nothing answers on port {$port}.");
    }

    private function stop(): void
    {
        foreach ($this->drivers as $driver) {
            try {
                $driver->quit();
            } catch (\Throwable) {
                // A browser that is gone already needs no closing.
            }
        }
        $this->chromeDriver->stop(2);
        $this->server->stop(2);
        (new Process(['rm', '-rf', $this->folder]))->run();
    }
}
