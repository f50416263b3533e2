<?php

declare(strict_types=1);

namespace App\Printing;

/** A page of print: headings, lines of text, tables, curves. Lengths in millimetres, type in points. */
final class Sheet
{
    public const FONT = 'dejavusans';

    private const MARGIN = 16.0;

    private const INK = [30, 38, 44];

    public const SOFT = [96, 104, 108];

    private const TEXT = 8.5;

    private FootedPdf $pdf;

    public function __construct(Paper $paper, string $title, string $foot)
    {
        // The library begins with a font of its own that it does not embed; it asks for another by this name.
        if (! defined('PDF_FONT_NAME_MAIN')) {
            define('K_TCPDF_EXTERNAL_CONFIG', true);
            define('PDF_FONT_NAME_MAIN', self::FONT);
        }
        $this->pdf = new FootedPdf($paper, $foot);
        $this->pdf->setCreator('Harmozon');
        $this->pdf->setTitle(self::printable($title));
        $this->pdf->setPrintHeader(false);
        $this->pdf->setMargins(self::MARGIN, self::MARGIN, self::MARGIN);
        $this->pdf->setAutoPageBreak(true, self::MARGIN + 4);
        // Only the letters that are used, and those with their meaning: the text can be selected.
        $this->pdf->setFontSubsetting(true);
        $this->pdf->setTextColorArray(self::INK);
        $this->pdf->setDrawColorArray(self::INK);
        $this->page();
    }

    public function page(): void
    {
        $this->pdf->AddPage();
        $this->font(self::TEXT);
    }

    public function width(): float
    {
        return $this->pdf->getPageWidth() - 2 * self::MARGIN;
    }

    public function heading(string $text, float $points = 11.0): void
    {
        $this->keepTogether(18);
        $this->pdf->Ln(2.5);
        $this->font($points, true);
        $this->pdf->MultiCell(0, 0, self::printable($text), 0, 'L');
        $this->pdf->Ln(0.8);
        $this->font(self::TEXT);
    }

    public function text(string $text, bool $isSoft = false, bool $isStrong = false, float $points = self::TEXT): void
    {
        $this->pdf->setTextColorArray($isSoft ? self::SOFT : self::INK);
        $this->font($points, $isStrong);
        $this->pdf->MultiCell(0, 0, self::printable($text), 0, 'L');
        $this->pdf->Ln(0.6);
        $this->font(self::TEXT);
        $this->pdf->setTextColorArray(self::INK);
    }

    /** @param  list<string>  $lines */
    public function items(array $lines): void
    {
        foreach ($lines as $line) {
            $this->pdf->MultiCell(4, 0, '•', 0, 'L', false, 0);
            $this->pdf->MultiCell(0, 0, self::printable($line), 0, 'L');
            $this->pdf->Ln(0.5);
        }
    }

    /**
     * Figures side by side, each above its name.
     *
     * @param  list<array{string, string}>  $figures
     */
    public function figures(array $figures): void
    {
        $each = $this->width() / max(1, count($figures));
        $top = $this->pdf->GetY() + 2;
        foreach ($figures as $i => [$figure, $name]) {
            $this->pdf->setXY(self::MARGIN + $i * $each, $top);
            $this->font(11, true);
            $this->pdf->Cell($each, 5, $figure);
            $this->pdf->setXY(self::MARGIN + $i * $each, $top + 5.2);
            $this->font(7);
            $this->pdf->setTextColorArray(self::SOFT);
            $this->pdf->Cell($each, 3.5, $name);
            $this->pdf->setTextColorArray(self::INK);
        }
        $this->pdf->setXY(self::MARGIN, $top + 10.5);
        $this->font(self::TEXT);
    }

    /**
     * @param  list<string>  $heads
     * @param  list<list<string>>  $rows
     * @param  list<float>  $shares  of the width, by column
     */
    public function table(array $heads, array $rows, array $shares): void
    {
        $this->row($heads, $shares, true);
        foreach ($rows as $row) {
            $this->row($row, $shares, false);
        }
        $this->pdf->Ln(1);
    }

    /**
     * @param  list<string>  $cells
     * @param  list<float>  $shares
     */
    private function row(array $cells, array $shares, bool $isHead): void
    {
        $this->font(self::TEXT - 0.5, $isHead);
        $cells = array_map(self::printable(...), $cells);
        $widths = array_map(fn (float $s): float => $s * $this->width(), $shares);
        $height = 0.0;
        foreach ($cells as $i => $cell) {
            $height = max($height, $this->pdf->getStringHeight($widths[$i], $cell));
        }
        $this->keepTogether($height + 2);
        $top = $this->pdf->GetY();
        $x = self::MARGIN;
        foreach ($cells as $i => $cell) {
            $this->pdf->MultiCell($widths[$i], $height, $cell, 0, 'L', false, 0, $x, $top + 0.5);
            $x += $widths[$i];
        }
        $bottom = $top + $height + 1;
        $this->pdf->setLineWidth($isHead ? 0.35 : 0.1);
        $this->pdf->Line(self::MARGIN, $bottom, self::MARGIN + $this->width(), $bottom);
        $this->pdf->setXY(self::MARGIN, $bottom + 0.4);
        $this->font(self::TEXT);
    }

    public function chart(Curves $curves, float $height): void
    {
        $this->keepTogether($height + 16);
        $top = $this->pdf->GetY() + 4.5;
        $curves->draw($this->pdf, self::MARGIN, $top, $this->width(), $height);
        $this->pdf->setXY(self::MARGIN, $top + $height + 8);
        $this->font(self::TEXT);
        $this->pdf->setTextColorArray(self::INK);
    }

    /** What must not be torn apart begins on the next page where this one has no room. */
    private function keepTogether(float $height): void
    {
        if ($this->pdf->GetY() + $height > $this->pdf->getPageHeight() - self::MARGIN - 4) {
            $this->page();
        }
    }

    /** The font has no letters beyond the first plane of Unicode. */
    private static function printable(string $text): string
    {
        return (string) preg_replace('/[\x{10000}-\x{10FFFF}]|(?![\n])\p{Cc}/u', "\u{FFFD}", mb_scrub($text));
    }

    private function font(float $points, bool $isStrong = false): void
    {
        $this->pdf->setFont(self::FONT, $isStrong ? 'B' : '', $points);
    }

    public function pdf(): string
    {
        return $this->pdf->Output('', 'S');
    }
}
