<?php

declare(strict_types=1);

namespace App\Documents;

use App\Compute\VoicedForms;
use Gravik\Breakdown\Breakdown;
use Gravik\Formats\BreakdownJson;
use Gravik\Formats\MidiFile;
use Gravik\Formats\WavFile;
use Gravik\Performance\Performer;
use Gravik\Simulation\RenderedBand;

/** A breakdown as a file of an open format. */
final readonly class Exports
{
    public const FORMATS = ['midi', 'wav', 'json'];

    public function __construct(
        private VoicedForms $voiced,
        private Performer $performer,
        private MidiFile $midi,
        private BreakdownJson $json,
    ) {}

    public function file(Breakdown $breakdown, string $format): ExportedFile
    {
        return match ($format) {
            'midi' => new ExportedFile(
                $this->midi->write($breakdown, $this->performer->perform($breakdown, null, $this->voiced->all($breakdown))),
                'audio/midi',
                'mid',
                MidiFile::NOT_KEPT,
            ),
            'wav' => $this->wav($breakdown),
            'json' => new ExportedFile($this->json->print($breakdown), 'application/json', 'gravik.json', []),
            default => throw new UnknownFormat($format),
        };
    }

    private function wav(Breakdown $breakdown): ExportedFile
    {
        $timeline = $this->performer->perform($breakdown, null, $this->voiced->all($breakdown));
        $band = new RenderedBand();

        return new ExportedFile(
            WavFile::write($band->blocks($timeline), $band->samples($timeline), RenderedBand::RATE),
            'audio/wav',
            'wav',
            ['everything but the sound: chords, grips, directions'],
        );
    }
}
