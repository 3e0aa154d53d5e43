<?php

declare(strict_types=1);

namespace Tests\Browser\Support;

use App\Bench\DemoServer;
use Database\Seeders\DatabaseSeeder;
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

    /**
     * Without a sound card the browser's stand-in for one asks for the next 10 ms by a timer, and leaves out what it asks for
     * too late: on a busy machine its clock loses a fifth of the time. Asked for 100 ms at once, it loses nothing.
     */
    private const PATIENT_AUDIO = 'window.AudioContext = class extends AudioContext { constructor() { super({ latencyHint: 0.1 }) } }';

    /** @var array<int, RemoteWebDriver> */
    private array $drivers = [];

    private int $opened = 0;

    private ?Page $teacher = null;

    private function __construct(
        public readonly DemoServer $server,
        private readonly Process $chromeDriver,
        private readonly int $driverPort,
    ) {}

    public static function running(): self
    {
        return self::$running ??= self::start();
    }

    /** A fresh browser whose page is 1280 × 800, and that nobody has signed in with. */
    public function page(): Page
    {
        $options = new ChromeOptions();
        $options->addArguments([
            ...self::CHROMIUM,
            '--use-fake-ui-for-media-stream',
            '--use-fake-device-for-media-stream',
            '--use-file-for-fake-audio-capture='.$this->microphone(),
            '--user-data-dir='.$this->server->folder.'/profile-'.$this->opened++,
        ]);
        $options->setExperimentalOption(
            'prefs',
            ['download.default_directory' => $this->downloads(), 'download.prompt_for_download' => false],
        );
        $capabilities = DesiredCapabilities::chrome();
        $capabilities->setCapability(ChromeOptions::CAPABILITY, $options);
        $driver = RemoteWebDriver::create('http://127.0.0.1:'.$this->driverPort, $capabilities, 60_000, 300_000);
        $driver->manage()->timeouts()->setScriptTimeout(300);
        $this->drivers[] = $driver;
        $driver->executeCustomCommand('/session/:sessionId/goog/cdp/execute', 'POST', [
            'cmd' => 'Page.addScriptToEvaluateOnNewDocument',
            'params' => ['source' => self::PATIENT_AUDIO],
        ]);

        return (new Page($driver, $this->server->address()))->resizeInside(1280, 800);
    }

    /** The teacher's browser, signed in once and used by test after test, with the shelf open. */
    public function teacher(): Page
    {
        $this->teacher ??= $this->page()->signIn(DatabaseSeeder::TEACHER['email'], DatabaseSeeder::TEACHER['password']);

        return $this->teacher->open('/')->sees('New breakdown');
    }

    /** Ends every browser but the teacher's: an open page goes on drawing and measuring, and takes the machine's time. */
    public function endExtraPages(): void
    {
        foreach ($this->drivers as $place => $driver) {
            if ($driver !== $this->teacher?->driver) {
                $driver->quit();
                unset($this->drivers[$place]);
            }
        }
        $this->teacher?->open('/');
    }

    public static function endExtraPagesIfRunning(): void
    {
        self::$running?->endExtraPages();
    }

    /** The WAV file that stands in for the microphone: what is written there before it is opened is what comes in. */
    public function microphone(): string
    {
        return $this->server->folder.'/microphone.wav';
    }

    public function downloads(): string
    {
        return $this->server->folder.'/downloads';
    }

    private static function start(): self
    {
        $server = DemoServer::start();
        mkdir($server->folder.'/downloads');
        $port = DemoServer::freePort();
        $chromeDriver = new Process(['chromedriver', '--port='.$port], null, null, null, null);
        $chromeDriver->disableOutput();
        $chromeDriver->start();
        DemoServer::waitForPort($port);
        $stage = new self($server, $chromeDriver, $port);
        register_shutdown_function($stage->stop(...));

        return $stage;
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
        $this->server->stop();
    }
}
