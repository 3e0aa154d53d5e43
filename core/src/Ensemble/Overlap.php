<?php

declare(strict_types=1);

namespace Gravik\Ensemble;

/** How much two rhythms share: J = |A∩B| / |A∪B| of their onsets. 1 is a unison, up to 0.34 they interlock, between it blurs. */
final readonly class Overlap
{
    private const INTERLOCKS_TO = 0.34;

    /** @param list<int> $shared ticks of both */
    private function __construct(public float $share, public array $shared, public int $all) {}

    /**
     * @param list<int> $one   ticks, each once
     * @param list<int> $other
     */
    public static function of(array $one, array $other): self
    {
        $shared = array_values(array_intersect($one, $other));
        $all = count(array_unique([...$one, ...$other]));

        return new self($all === 0 ? 0.0 : count($shared) / $all, $shared, $all);
    }

    public function isBlur(): bool
    {
        return $this->share > self::INTERLOCKS_TO && $this->share < 1;
    }

    public function isUnison(): bool
    {
        return $this->all > 0 && $this->share >= 1;
    }
}
