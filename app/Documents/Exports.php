<?php

declare(strict_types=1);

namespace App\Documents;

use App\Compute\VoicedForms;
use Gravik\Band\Instrument;
use Gravik\Breakdown\Breakdown;
use Gravik\Formats\BreakdownJson;
use Gravik\Formats\ChordProFile;
use Gravik\Formats\EventsCsv;
use Gravik\Formats\MidiFile;
use Gravik\Formats\MusicXmlFile;
use Gravik\Formats\MxlFile;
use Gravik\Formats\TabText;
use Gravik\Formats\WavFile;
use Gravik\Handout\HandoutWishes;
use Gravik\Performance\Performer;
use Gravik\Performance\Timeline;
use Gravik\Simulation\RenderedBand;
use Gravik\Time\Tempo;

/** A breakdown as a file of an open format. */
final readonly class Exports
{
    public function __construct(
        private VoicedForms $voiced,
        private Performer $performer,
        private MidiFile $midi,
        private MusicXmlFile $score,
        private ChordProFile $chordPro,
        private TabText $tab,
        private BreakdownJson $json,
        private Handouts $handouts,
        private PagePrinter $printer,
    ) {}

    /**
     * @param ?HandoutWishes $wishes for the handout; everything where null
     * @param ?SoundWish     $sound  for the sound; the whole band in its tempo where null
     */
    public function file(Breakdown $breakdown, ExportFormat $format, ?HandoutWishes $wishes = null, ?SoundWish $sound = null): ExportedFile
    {
        return new ExportedFile(
            $this->bytes($breakdown, $format, $wishes ?? HandoutWishes::everything(), $sound ?? SoundWish::of(SoundWish::ALL)),
            $format->type(),
            $format->ending(),
            self::notKept($breakdown, $format),
        );
    }

    /** @return list<string> what of this song a format does not hold, in words */
    public static function notKept(Breakdown $breakdown, ExportFormat $format): array
    {
        return match ($format) {
            ExportFormat::Pdf, ExportFormat::Html => ['the sound'],
            ExportFormat::Svg => ['the sound', 'what stands overleaf, where there is more than one side'],
            ExportFormat::MusicXml, ExportFormat::CompressedMusicXml => MusicXmlFile::notKept($breakdown),
            ExportFormat::ChordPro => ChordProFile::notKept($breakdown),
            ExportFormat::Tab => TabText::notKept($breakdown),
            ExportFormat::Midi => MidiFile::NOT_KEPT,
            ExportFormat::Wav => ['everything but the sound: chords, grips, directions'],
            ExportFormat::Csv => EventsCsv::NOT_KEPT,
            ExportFormat::Json => [],
        };
    }

    private function bytes(Breakdown $breakdown, ExportFormat $format, HandoutWishes $wishes, SoundWish $sound): string
    {
        return match ($format) {
            ExportFormat::Html => $this->handouts->html($breakdown, $wishes),
            ExportFormat::Pdf => $this->printer->pdf($this->handouts->html($breakdown, $wishes)),
            ExportFormat::Svg => $this->handouts->drawing($breakdown, $wishes),
            ExportFormat::MusicXml => $this->score->write($breakdown, $this->timeline($breakdown)),
            ExportFormat::CompressedMusicXml => MxlFile::pack($this->score->write($breakdown, $this->timeline($breakdown))),
            ExportFormat::ChordPro => $this->chordPro->write($breakdown, $this->voiced->of($breakdown, $breakdown->lines[0])),
            ExportFormat::Tab => $this->tab->write($breakdown, $this->timeline($breakdown)),
            ExportFormat::Midi => $this->midi->write($breakdown, $this->timeline($breakdown)),
            ExportFormat::Wav => self::wav($this->timeline($breakdown, $sound->tempo), $sound->parts),
            ExportFormat::Csv => EventsCsv::write($this->timeline($breakdown)),
            ExportFormat::Json => $this->json->print($breakdown),
        };
    }

    private function timeline(Breakdown $breakdown, ?Tempo $tempo = null): Timeline
    {
        return $this->performer->perform($breakdown, $tempo, $this->voiced->all($breakdown));
    }

    /** @param ?list<Instrument> $parts */
    private static function wav(Timeline $timeline, ?array $parts): string
    {
        $band = new RenderedBand();

        return WavFile::write($band->blocks($timeline, $parts), $band->samples($timeline), RenderedBand::RATE);
    }
}
