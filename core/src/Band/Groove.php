<?php

declare(strict_types=1);

namespace Gravik\Band;

use Gravik\Band\Failure\GrooveUnknown;
use Gravik\Time\Meter;

/** What drums and bass play under the guitar: one bar, repeated. */
final readonly class Groove
{
    /**
     * @param int                   $grid  slots a beat of the lines below
     * @param array<string, string> $drums drum => one sign a slot: . rest, g very soft, x, X accented
     * @param string                $bass  one sign a slot: R root, 3 third, 5 fifth, 8 octave, 6 sixth,
     *                                     > a step below the next root, - held, . rest
     */
    private function __construct(
        public string $slug,
        public string $name,
        public Meter $meter,
        public int $grid,
        public array $drums,
        public string $bass,
        public Style $style,
    ) {}

    public static function named(string $slug): self
    {
        $all = self::library();

        return $all[$slug] ?? throw new GrooveUnknown($slug, implode(', ', array_keys($all)));
    }

    public static function defaultFor(Meter $meter): self
    {
        foreach (self::library() as $groove) {
            if ($groove->meter->text() === $meter->text()) {
                return $groove;
            }
        }

        throw new GrooveUnknown($meter->text(), implode(', ', array_keys(self::library())));
    }

    /** @return array<string, self> by slug, in the order of the library */
    public static function library(): array
    {
        /** @var array<string, array{string, string, int, array<string, string>, string, string}> $rows */
        $rows = require __DIR__.'/Data/grooves.php';
        $library = [];
        foreach ($rows as $slug => [$name, $meter, $grid, $drums, $bass, $style]) {
            $library[$slug] = new self($slug, $name, Meter::parse($meter), $grid, $drums, $bass, Style::from($style));
        }

        return $library;
    }

    public function slotTicks(): int
    {
        return intdiv($this->meter->beatTicks(), $this->grid);
    }
}
