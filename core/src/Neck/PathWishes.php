<?php

declare(strict_types=1);

namespace Gravik\Neck;

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
}
