<?php

declare(strict_types=1);

namespace Gravik\Neck\Line;

use Gravik\Neck\FretRange;

/** What a teacher asks of a line of grips beyond its being easy. */
final readonly class PathWishes
{
    /**
     * @param FretRange  $window   frets the hand may use, counted from the capo
     * @param string     $strings  a range or a list of string numbers, empty for all: "4-1"
     * @param bool       $keepTop  one note stays on top throughout
     * @param bool       $parallel one grip is moved rather than another taken, where a chord allows it
     * @param bool       $loop     the line comes round: the way from its last grip to its first counts too
     */
    public function __construct(
        public FretRange $window = new FretRange(),
        public string $strings = '',
        public bool $keepTop = false,
        public BassMotion $bass = BassMotion::Free,
        public bool $parallel = false,
        public PathWeights $weights = new PathWeights(),
        public bool $loop = false,
    ) {}

    /** The same wishes on a guitar of so many strings: strings it lacks are no longer asked for. */
    public function onStrings(int $count): self
    {
        preg_match_all('/\d/', $this->strings, $found);
        $named = array_map(intval(...), $found[0]);
        $range = $named !== [] && str_contains($this->strings, '-') ? range(min($named), max($named)) : $named;
        $left = array_filter($range, static fn (int $string): bool => $string <= $count);
        $strings = count($left) === count($range) ? $this->strings : implode(',', $left);

        return new self($this->window, $strings, $this->keepTop, $this->bass, $this->parallel, $this->weights, $this->loop);
    }

    /** @param string $strings numbers in use: 4-1 */
    public function using(string $strings): self
    {
        return new self($this->window, $strings, $this->keepTop, $this->bass, $this->parallel, $this->weights, $this->loop);
    }
}
