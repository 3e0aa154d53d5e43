<?php

declare(strict_types=1);

namespace Gravik\Chart;

use Gravik\Harmony\ChordSymbol;
use Gravik\Neck\Line\Path;
use Gravik\Neck\Neck;

/** The form with a grip for each of its chords. */
final readonly class VoicedForm
{
    /**
     * @param list<Pin> $loose pins that fit no chord any more
     * @param Path      $path  one voicing for each of $form->chords
     */
    public function __construct(public Form $form, public Path $path, public array $loose) {}

    /** @return list<string> chords whose root no open string gives: alone, a finger or the thumb has to hold it */
    public function withoutOpenRoot(Neck $neck): array
    {
        $open = array_map(static fn (int $midi): int => $midi % 12, $neck->openMidi());
        $without = array_filter(
            $this->form->differentChords(),
            static fn (ChordSymbol $chord): bool => ! in_array(($chord->bass ?? $chord->root)->pitchClass(), $open, true),
        );

        return array_values(array_map(static fn (ChordSymbol $chord): string => $chord->text(), $without));
    }

    /** @return list<int> numbers of the strings that some grip sounds, the lowest-sounding first */
    public function stringsUsed(): array
    {
        $used = [];
        foreach ($this->path->voicings as $voicing) {
            foreach ($voicing->frets as $index => $fret) {
                if ($fret !== null) {
                    $used[count($voicing->frets) - $index] = true;
                }
            }
        }
        krsort($used);

        return array_keys($used);
    }
}
