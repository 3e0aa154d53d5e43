<?php

declare(strict_types=1);

namespace Tests\Browser\Support;

use Facebook\WebDriver\Exception\StaleElementReferenceException;
use Facebook\WebDriver\Interactions\WebDriverActions;
use Facebook\WebDriver\Remote\RemoteWebDriver;
use Facebook\WebDriver\Remote\RemoteWebElement;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverDimension;
use Facebook\WebDriver\WebDriverElement;
use Facebook\WebDriver\WebDriverKeys;
use PHPUnit\Framework\AssertionFailedError;
use Symfony\Component\Process\Process;

/** A page as a person uses it: things are found by their words or labels, and everything waits until it is there. */
final class Page
{
    /** Far more than any screen takes: machines have stood still for 30 s, and that is no reason to call a screen broken. */
    private const PATIENCE_SECONDS = 90.0;

    /** Less in the midst of a measurement: where it takes that long it was disturbed, and is measured again. */
    private const PATIENCE_MEASURING_SECONDS = 40.0;

    private const ATTEMPTS = 12;

    private const STATIONS = ['listen', 'chart', 'shapes', 'hand', 'band', 'steps', 'lock', 'log', 'handout'];

    private readonly Clocks $clocks;

    private bool $measuring = false;

    public function __construct(public readonly RemoteWebDriver $driver, private readonly string $address)
    {
        $this->clocks = new Clocks($driver);
    }

    public function open(string $path): self
    {
        $this->driver->get($this->address.$path);

        return $this;
    }

    public function signIn(string $email, string $password): self
    {
        $this->open('/');
        $this->element('input[name=email]')->sendKeys($email);
        $this->element('input[name=password]')->sendKeys($password);
        $this->press('Sign in');
        $this->sees('New breakdown');

        return $this;
    }

    /** Puts a new breakdown on the bench, by the interface. */
    public function makeBreakdown(string $title, string $line): self
    {
        $this->keys('n')->fill('input[name=title]', $title)->fill('.line-field textarea', $line);
        $this->press('Make it')->element('.chart-bar');

        return $this;
    }

    /** Goes to a station by its key, and waits until it shows what matches. */
    public function station(string $name, string $css): self
    {
        $this->chord(WebDriverKeys::ALT, (string) (1 + (int) array_search($name, self::STATIONS, true)))->element($css);

        return $this;
    }

    public function saved(): self
    {
        $this->waitFor(fn (): bool => str_starts_with($this->words('.save-state'), 'Saved'), 'it is not saved');

        return $this;
    }

    public function element(string $css): RemoteWebElement
    {
        return $this->waitFor(fn (): ?RemoteWebElement => $this->shown(WebDriverBy::cssSelector($css)), "nothing matches {$css}");
    }

    /** @return list<WebDriverElement> as many as there are now */
    public function all(string $css): array
    {
        return array_values($this->driver->findElements(WebDriverBy::cssSelector($css)));
    }

    /** The words of everything that matches, however it is drawn. */
    public function words(string $css): string
    {
        return (string) $this->script(
            'return [...document.querySelectorAll(arguments[0])].map((each) => each.textContent).join(" | ")',
            [$css],
        );
    }

    /** Presses the button that says this. */
    public function press(string $words): self
    {
        $named = sprintf(
            '//button[normalize-space(.)=%1$s or @aria-label=%1$s or (.//kbd and starts-with(normalize-space(.), %1$s))]',
            self::quoted($words),
        );
        $this->waitFor(function () use ($named): bool {
            $button = $this->shown(WebDriverBy::xpath($named));
            if ($button === null || ! $button->isEnabled()) {
                return false;
            }
            $button->click();

            return true;
        }, "no button says \"{$words}\"");

        return $this;
    }

    /** Chooses an entry of a drop-down by its label and words. */
    public function choose(string $label, string $words): self
    {
        $field = $this->element("[aria-label='{$label}']");
        $field->click();
        $field->sendKeys($words);
        $option = sprintf('//div[contains(@class,"ant-select-item-option-content") and normalize-space(.)=%s]', self::quoted($words));
        $this->waitFor(
            fn (): ?RemoteWebElement => $this->shown(WebDriverBy::xpath($option)),
            "\"{$words}\" is not on offer under {$label}",
        )->click();

        return $this;
    }

    /** Puts text into a field in place of what was there. */
    public function fill(string $css, string $text): self
    {
        $field = $this->element($css);
        $field->sendKeys([WebDriverKeys::CONTROL, 'a']);
        $field->sendKeys($text);

        return $this;
    }

    /** Presses keys with nothing focused, as somebody playing does. */
    public function keys(string ...$keys): self
    {
        $this->script('document.activeElement?.blur()');
        foreach ($keys as $key) {
            (new WebDriverActions($this->driver))->sendKeys(null, $key)->perform();
        }

        return $this;
    }

    public function chord(string $modifier, string $key): self
    {
        $this->script('document.activeElement?.blur()');
        (new WebDriverActions($this->driver))->keyDown(null, $modifier)->sendKeys(null, $key)->keyUp(null, $modifier)->perform();

        return $this;
    }

    public function sees(string $words): self
    {
        $this->waitFor(
            fn (): bool => str_contains((string) $this->script('return document.body.innerText'), $words),
            "the page does not say \"{$words}\"",
        );

        return $this;
    }

    public function says(string $words): bool
    {
        return str_contains((string) $this->script('return document.body.innerText'), $words);
    }

    /**
     * Measures something in real time. Where the page itself stood still meanwhile, or its audio clock slipped against
     * the page's, because the machine was busy with something else, what was measured says nothing: then it is measured
     * again once the machine is calm, up to twelve times.
     *
     * @param callable(): void $measure which begins from wherever it was broken off the time before
     */
    public function undisturbed(callable $measure): void
    {
        for ($attempt = 1; ; $attempt++) {
            $this->clocks->watch();
            $this->measuring = true;
            try {
                $measure();

                return;
            } catch (AssertionFailedError|\RuntimeException $problem) {
                $disturbed = $this->clocks->disturbed();
                if ($attempt === self::ATTEMPTS || $disturbed === null) {
                    throw $problem;
                }
                fwrite(STDERR, "\n  {$disturbed}; measuring again\n");
                $this->clocks->calmDown();
            } finally {
                $this->measuring = false;
            }
        }
    }

    /** Opens an address in the midst of a measurement: on the new page both clocks are watched on. */
    public function beginsAt(string $address): self
    {
        $this->driver->get($address);
        $this->clocks->watch();

        return $this;
    }

    /** Ends the part of the browser that sounds, as a device does that is unplugged. */
    public function losesItsSound(): self
    {
        $profile = $this->driver->getCapabilities()?->getCapability('chrome')['userDataDir'];
        (new Process(['pkill', '-KILL', '-f', "utility-sub-type=audio.*{$profile} "]))->mustRun();

        return $this;
    }

    /** @return list<string> what the accessibility rules of axe-core find against the page as it stands */
    public function barriers(): array
    {
        $this->script((string) file_get_contents(base_path('node_modules/axe-core/axe.min.js')));
        $found = $this->driver->executeAsyncScript('const done = arguments[0]; axe.run(document, { resultTypes: ["violations"] }).then((report) => done(report.violations.flatMap((rule) => rule.nodes.map((node) => rule.id + ": " + node.html.slice(0, 160)))))');

        return is_array($found) ? array_values(array_filter($found, is_string(...))) : ['axe-core gives no answer'];
    }

    /** @param list<mixed> $arguments */
    public function script(string $script, array $arguments = []): mixed
    {
        return $this->driver->executeScript($script, $arguments);
    }

    /** Makes the page itself that large, whatever the window adds around it. */
    public function resizeInside(int $width, int $height): self
    {
        $window = $this->driver->manage()->window();
        $window->setSize(new WebDriverDimension($width, $height));
        /** @var array{int, int} $inside */
        $inside = $this->script('return [window.innerWidth, window.innerHeight]');
        $window->setSize(new WebDriverDimension(2 * $width - $inside[0], 2 * $height - $inside[1]));

        return $this;
    }

    public function picture(string $file): self
    {
        $this->driver->takeScreenshot($file);

        return $this;
    }

    /**
     * @template T
     *
     * @param callable(): T $look
     *
     * @return T the first answer that is neither null nor false
     */
    public function waitFor(callable $look, string $otherwise): mixed
    {
        $seconds = $this->measuring ? self::PATIENCE_MEASURING_SECONDS : self::PATIENCE_SECONDS;
        $until = microtime(true) + $seconds;
        do {
            try {
                $seen = $look();
                if ($seen !== null && $seen !== false) {
                    return $seen;
                }
            } catch (StaleElementReferenceException) {
                // The page drew itself anew while we looked.
            }
            usleep(40_000);
        } while (microtime(true) < $until);
        throw new \RuntimeException(sprintf(
            'After %.0f s %s. The page says: %s',
            $seconds,
            $otherwise,
            mb_substr((string) $this->script('return document.body.innerText'), 0, 900),
        ));
    }

    private function shown(WebDriverBy $by): ?RemoteWebElement
    {
        foreach ($this->driver->findElements($by) as $element) {
            if ($element->isDisplayed()) {
                return $element;
            }
        }

        return null;
    }

    private static function quoted(string $words): string
    {
        return str_contains($words, "'") ? '"'.$words.'"' : "'".$words."'";
    }
}
