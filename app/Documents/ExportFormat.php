<?php

declare(strict_types=1);

namespace App\Documents;

/** The open formats in which a breakdown leaves the house, and what each keeps of it. */
enum ExportFormat: string
{
    case Pdf = 'pdf';
    case Html = 'html';
    case Svg = 'svg';
    case MusicXml = 'musicxml';
    case CompressedMusicXml = 'mxl';
    case ChordPro = 'chordpro';
    case Tab = 'tab';
    case Midi = 'midi';
    case Wav = 'wav';
    case Csv = 'csv';
    case Json = 'json';

    public const QUALITIES = ['chords', 'grips', 'strokes', 'muting', 'swing', 'passes', 'stages'];

    /** @throws UnknownFormat */
    public static function named(string $format): self
    {
        return self::tryFrom($format) ?? throw new UnknownFormat($format);
    }

    public function words(): string
    {
        return match ($this) {
            self::Pdf => 'PDF',
            self::Html => 'Page',
            self::Svg => 'Drawing',
            self::MusicXml => 'Score',
            self::CompressedMusicXml => 'Score, packed',
            self::ChordPro => 'Chord sheet',
            self::Tab => 'Text tab',
            self::Midi => 'Notes',
            self::Wav => 'Sound',
            self::Csv => 'Events',
            self::Json => 'Breakdown',
        };
    }

    public function kind(): string
    {
        return match ($this) {
            self::Pdf => 'the sheet, printed',
            self::Html => 'HTML, works offline',
            self::Svg => 'SVG, or one part',
            self::MusicXml => 'MusicXML 4.0',
            self::CompressedMusicXml => 'MXL',
            self::ChordPro => 'ChordPro',
            self::Tab => 'TXT',
            self::Midi => 'MIDI',
            self::Wav => 'WAV',
            self::Csv => 'CSV',
            self::Json => 'JSON',
        };
    }

    public function type(): string
    {
        return match ($this) {
            self::Pdf => 'application/pdf',
            self::Html => 'text/html; charset=utf-8',
            self::Svg => 'image/svg+xml',
            self::MusicXml => 'application/vnd.recordare.musicxml+xml',
            self::CompressedMusicXml => 'application/vnd.recordare.musicxml',
            self::ChordPro, self::Tab => 'text/plain; charset=utf-8',
            self::Midi => 'audio/midi',
            self::Wav => 'audio/wav',
            self::Csv => 'text/csv; charset=utf-8',
            self::Json => 'application/json',
        };
    }

    public function ending(): string
    {
        return match ($this) {
            self::ChordPro => 'cho',
            self::Tab => 'tab.txt',
            self::Midi => 'mid',
            self::Json => 'gravik.json',
            self::Pdf, self::Html, self::Svg, self::MusicXml, self::CompressedMusicXml, self::Wav, self::Csv => $this->value,
        };
    }

    /** @return array<string, 'kept'|'bent'|'out'> by quality */
    public function keeps(): array
    {
        return array_combine(self::QUALITIES, array_map(
            static fn (string $sign): string => ['k' => 'kept', 'b' => 'bent', 'o' => 'out'][$sign],
            str_split(match ($this) {
                self::Pdf, self::Html, self::Json => 'kkkkkkk',
                self::Svg => 'kkkkkbb',
                self::MusicXml, self::CompressedMusicXml => 'kkkkbbo',
                self::ChordPro => 'kkooobo',
                self::Tab => 'kkkkobo',
                self::Midi => 'kobbkbo',
                self::Wav => 'ookkkbo',
                self::Csv => 'kkkkkbo',
            }),
        ));
    }
}
