<?php

declare(strict_types=1);

namespace Gravik\Listening\Chords\Internal;

use Gravik\Harmony\ChordSymbol;
use Gravik\Harmony\Degree;
use Gravik\Harmony\Key;
use Gravik\Pitch\NoteName;

/**
 * A chord that may have been played, as pitch classes.
 *
 * @internal used by ChordReader
 */
final readonly class Candidate
{
    /**
     * What follows the root, and how much less likely it is than a plain triad before anything is heard, nepers (h).
     */
    private const UNUSUAL = [
        '' => 0.0, 'm' => 0.1, '7' => 0.3, 'm7' => 0.4, 'maj7' => 0.6, '6' => 0.9, 'm6' => 1.0, '9' => 0.9, 'm9' => 1.2, 'maj9' => 1.3,
        'sus4' => 1.3, '7sus4' => 1.3, '13' => 1.4, '7b9' => 1.4, 'add9' => 1.5, '6/9' => 1.6, 'm7b5' => 1.6, 'dim7' => 1.6, '7#9' => 1.6,
        'aug' => 2.2, 'dim' => 2.4,
    ];

    /** Those that are still known where a bass player has the root. */
    private const WITHOUT_ROOT = ['9', 'm9', 'maj9', '13', '7b9', '6/9', 'm7b5'];

    /**
     * @param list<int> $required pitch classes besides the root's
     * @param list<int> $optional pitch classes besides these
     * @param list<int> $shell    of the third or what stands for it, and of the seventh or sixth
     */
    private function __construct(
        public int $root,
        public string $ending,
        public array $required,
        public array $optional,
        public array $shell,
        public float $unusual,
        public bool $isMinor,
        public bool $isDominant,
        public bool $mayLackRoot,
    ) {}

    /** @return list<self> every ending on every root */
    public static function all(): array
    {
        $all = [];
        foreach (self::UNUSUAL as $ending => $unusual) {
            // PHP makes a number of a key that looks like one.
            $ending = (string) $ending;
            $model = ChordSymbol::parse('C'.$ending);
            foreach (range(0, 11) as $root) {
                $on = static fn (Degree $degree): int => ($root + $degree->semitones()) % 12;
                $required = array_map($on, $model->required);
                $all[] = new self(
                    $root,
                    $ending,
                    $required,
                    array_values(array_diff(array_map($on, [...$model->optional, ...$model->oneOf]), [$root, ...$required])),
                    array_map($on, $model->shell),
                    $unusual,
                    $model->isMinor(),
                    in_array(($root + 10) % 12, $required, true) && in_array(($root + 4) % 12, $required, true),
                    in_array($ending, self::WITHOUT_ROOT, true),
                );
            }
        }

        return $all;
    }

    /** @return list<int> pitch classes, the root's first */
    public function classes(): array
    {
        return [$this->root, ...$this->required, ...$this->optional];
    }

    /** Whether it has the same root, third and seventh, so that only colour tells them apart. */
    public function isKin(self $other): bool
    {
        return $this->root === $other->root && $this->shell === $other->shell;
    }

    public function symbol(Key $key): ChordSymbol
    {
        $root = $key->spell($this->root);
        // In a key of flats only a diminished chord stands on a sharp, from which it leads up.
        $flat = NoteName::plain($this->root, false);

        return ChordSymbol::parse(($root->alter > 0 && $key->signature() <= 0 && ! $this->leadsUp() ? $flat : $root)->text().$this->ending);
    }

    private function leadsUp(): bool
    {
        return str_starts_with($this->ending, 'dim') || $this->ending === 'm7b5';
    }
}
