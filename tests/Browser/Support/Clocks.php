<?php

declare(strict_types=1);

namespace Tests\Browser\Support;

use Facebook\WebDriver\Remote\RemoteWebDriver;

/** A page's own clock and its audio clock: where one of them stands still, nothing that is measured in real time says anything. */
final readonly class Clocks
{
    private const STANDSTILL_MS = 120.0;

    /** The audio clock goes on by 100 ms at a time (see Stage). */
    private const SLIP_MS = 160.0;

    private const CALM_SECONDS = 3.0;

    private const UNTIL_CALM_SECONDS = 240.0;

    /**
     * How long the page stood still at most, and the span of audio time against the page's time: steady where the sound
     * card's thread gets its turns. A sound card that gave up while the machine stood still has a clock that stands.
     */
    private const WATCH = <<<'JS'
        clearInterval(window.clockWatch)
        window.slipContext ??= new AudioContext()
        void window.slipContext.resume()
        Object.assign(window, { longestStandstill: 0, clockSlip: 0 })
        let last = performance.now()
        let early = Infinity
        let late = -Infinity
        window.clockWatch = setInterval(() => {
          const now = performance.now()
          window.longestStandstill = Math.max(window.longestStandstill, now - last)
          last = now
          if (window.slipContext.currentTime < 0.3) return
          const apart = now - 1000 * window.slipContext.currentTime
          early = Math.min(early, apart)
          late = Math.max(late, apart)
          window.clockSlip = late - early
        }, 10)
        JS;

    public function __construct(private RemoteWebDriver $driver) {}

    /** Begins anew; a page that is left takes its watch with it. */
    public function watch(): void
    {
        $this->driver->executeScript(self::WATCH);
    }

    /** What was disturbed since they are watched, in words; null where nothing was. */
    public function disturbed(): ?string
    {
        $stood = (float) $this->driver->executeScript('return window.longestStandstill ?? 0');
        $slipped = (float) $this->driver->executeScript('return window.clockSlip ?? 0');

        return $stood < self::STANDSTILL_MS && $slipped < self::SLIP_MS
            ? null
            : sprintf('the page stood still for %.0f ms, its audio clock slipped %.0f ms', $stood, $slipped);
    }

    /** Waits for seconds in which nothing stood still; where there are none, what comes next has to try its luck. */
    public function calmDown(): void
    {
        $until = microtime(true) + self::UNTIL_CALM_SECONDS;
        do {
            $this->watch();
            usleep((int) (1e6 * self::CALM_SECONDS));
        } while ($this->disturbed() !== null && microtime(true) < $until);
    }
}
