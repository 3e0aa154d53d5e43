<?php

declare(strict_types=1);

namespace Gravik\Chart;

use Gravik\Neck\Path;

/** The form with a grip for each of its chords. */
final readonly class VoicedForm
{
    /**
     * @param list<Pin> $loose pins that fit no chord any more
     * @param Path      $path  one voicing for each of $form->chords
     */
    public function __construct(public Form $form, public Path $path, public array $loose) {}

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
