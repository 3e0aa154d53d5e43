<?php

declare(strict_types=1);

namespace Gravik\Band;

use Gravik\Chart\Form;

/** Plays the drums of a groove, bar after bar. */
final readonly class Drummer implements Player
{
    private const LOUDNESS = ['g' => 0.2, 'x' => 0.5, 'X' => 0.85];

    public function __construct(private Groove $groove) {}

    public function part(): PartName
    {
        return PartName::Drums;
    }

    public function play(Form $form): array
    {
        $notes = [];
        foreach (array_keys($form->bars) as $bar) {
            foreach ($this->groove->drums as $drum => $signs) {
                foreach (str_split($signs) as $slot => $sign) {
                    if ($sign !== '.') {
                        $tick = $this->groove->tickOf($bar, $slot);
                        $until = $tick + $this->groove->slotTicks();
                        $notes[] = new BandNote($tick, $until, $this->groove->grid, Drum::named($drum)->value, self::LOUDNESS[$sign]);
                    }
                }
            }
        }

        return $notes;
    }
}
