<?php

declare(strict_types=1);

namespace Gravik\Breakdown;

use Gravik\Neck\Melody\HarmonisedNote;
use Gravik\Neck\Melody\Harmoniser;
use Gravik\Neck\NeckException;

/** A typed melody in double stops over the chords of a breakdown's form. */
final readonly class MelodyOverForm
{
    /**
     * The chords share the notes of their bar evenly; over a silent bar, and beyond the end, the tonic triad stands in.
     *
     * @param int $bar of the form that the melody begins in, from 0
     *
     * @return list<list<HarmonisedNote>> bar by bar
     *
     * @throws NeckException where the melody cannot be read, or does not lie on the neck
     */
    public function bars(Breakdown $breakdown, string $melody, int $bar): array
    {
        $harmoniser = new Harmoniser($breakdown->neck, $breakdown->start->key);
        $form = $breakdown->written();
        $tonic = $breakdown->start->key->tonicTriad();
        $line = [];
        $typed = $harmoniser->parse($melody);
        foreach ($typed as $place => $notes) {
            $chords = $form->chordsOfBar($bar + $place);
            foreach ($notes as $order => $midi) {
                $line[] = [$midi, $chords === [] ? $tonic : $chords[intdiv($order * count($chords), count($notes))]];
            }
        }
        $harmonised = $harmoniser->harmonise($line);

        return array_map(static function (array $notes) use (&$harmonised): array {
            return array_splice($harmonised, 0, count($notes));
        }, $typed);
    }
}
