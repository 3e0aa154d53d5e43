<?php

declare(strict_types=1);

namespace Gravik\Chart;

/** One time that a section comes while the song is played. */
final readonly class Visit
{
    /**
     * @param string $pass id
     * @param int    $time of the section in its pass, from 1
     * @param int    $tick at which it begins
     * @param int    $bar  with which it begins, from 0
     */
    public function __construct(
        public string $pass,
        public Section $section,
        public int $time,
        public Setting $setting,
        public int $tick,
        public int $bar,
        public int $bars,
    ) {}

    public function until(): int
    {
        return $this->tick + $this->bars * $this->setting->meter->barTicks();
    }
}
