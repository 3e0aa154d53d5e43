<?php

declare(strict_types=1);

namespace Gravik\Chart;

use Gravik\Chart\Failure\LineTooLong;
use Gravik\Chart\Failure\SectionNameMissing;
use Gravik\Harmony\Key;
use Gravik\Time\Feel;
use Gravik\Time\Meter;
use Gravik\Time\Tempo;

/** A named stretch of the song, as it was typed. What it has no key, meter, tempo or feel of its own for is as the song's. */
final readonly class Section
{
    /** @var list<Dynamic> in order of bars */
    public array $dynamics;

    /**
     * @param list<Ending>    $endings  after $line, each in its times; a time that none names takes the last
     * @param list<Dynamic>   $dynamics a mark for a bar takes the place of one before it in the list
     * @param list<SungWords> $words
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $line,
        public ?Key $key = null,
        public ?Meter $meter = null,
        public ?Tempo $tempo = null,
        public ?Feel $feel = null,
        public array $endings = [],
        array $dynamics = [],
        public array $words = [],
    ) {
        $byBar = array_column(array_map(static fn (Dynamic $mark): array => [$mark->bar, $mark], $dynamics), 1, 0);
        ksort($byBar);
        $this->dynamics = array_values($byBar);
        if (trim($name) === '' || mb_strlen($name) > 40) {
            throw new SectionNameMissing();
        }
        if (mb_strlen($line) > ChartLine::LONGEST) {
            throw new LineTooLong(mb_strlen($line), ChartLine::LONGEST);
        }
    }

    public function setting(Setting $song): Setting
    {
        return $song->with($this->key, $this->meter, $this->tempo, $this->feel);
    }

    /** @return ?int which ending it has when it comes for the so-manieth time of a pass; null where it has none */
    public function endingAt(int $time, string $pass): ?int
    {
        foreach ($this->endings as $number => $ending) {
            if (in_array($pass, $ending->passes, true)) {
                return $number;
            }
        }
        foreach ($this->endings as $number => $ending) {
            if (in_array($time, $ending->times, true)) {
                return $number;
            }
        }

        return $this->endings === [] ? null : count($this->endings) - 1;
    }

    /**
     * @param ?list<Ending>    $endings
     * @param ?list<Dynamic>   $dynamics
     * @param ?list<SungWords> $words
     */
    public function with(
        ?string $name = null,
        ?string $line = null,
        ?Key $key = null,
        ?Feel $feel = null,
        ?array $endings = null,
        ?array $dynamics = null,
        ?array $words = null,
    ): self {
        return new self(
            $this->id, $name ?? $this->name, $line ?? $this->line,
            $key ?? $this->key, $this->meter, $this->tempo, $feel ?? $this->feel, $endings ?? $this->endings,
            $dynamics ?? $this->dynamics, $words ?? $this->words,
        );
    }
}
