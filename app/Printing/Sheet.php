<?php

declare(strict_types=1);

namespace App\Printing;

use Dompdf\Dompdf;
use Dompdf\Options;

/** Printed pages: headings, lines of text, tables, curves, and a footer that says whose they are. Lengths in millimetres, type in points. */
final class Sheet
{
    private const FONT = 'DejaVu Sans';

    private const MARGIN_MM = 16.0;

    private const FOOT_POINTS = 6.5;

    /** Distance of the foot from the edge of the paper. */
    private const FOOT_UP_MM = 12.0;

    /** A table with no more rows than this isn't split across pages. */
    private const SHORT = 12;

    private const POINTS_A_MM = 72 / 25.4;

    private const SOFT = [0.38, 0.41, 0.42];

    private const LOOKS = <<<'CSS'
        @page { margin: 16mm 16mm 20mm }
        body { margin: 0; font: 8.5pt "DejaVu Sans"; line-height: 1.2; color: #1e262c }
        p { margin: 0 0 0.6mm }
        .soft { color: #60686c }
        h2 { margin: 2.5mm 0 0.8mm; font-weight: bold; page-break-after: avoid }
        ul { margin: 0; padding: 0 0 0 4mm }
        li { margin: 0 0 0.5mm }
        table { width: 100%; border-collapse: collapse; margin: 0 0 1mm; table-layout: fixed }
        tr, .short { page-break-inside: avoid }
        td, th { padding: 0.6mm 1.5mm 0.6mm 0; text-align: left; vertical-align: top; font-size: 8pt; border-bottom: 0.1mm solid #1e262c; word-wrap: break-word }
        th { border-bottom-width: 0.35mm; font-weight: bold }
        .figures { margin: 2mm 0 1.5mm }
        .figures td { border: 0; padding: 0 2mm 0 0 }
        .figure { font-size: 11pt; font-weight: bold }
        .named { font-size: 7pt; color: #60686c }
        .chart { position: relative; page-break-inside: avoid; font-size: 6.5pt; color: #60686c }
        .chart img, .chart span { position: absolute }
        .chart span { white-space: nowrap; line-height: 1 }
        .page { page-break-before: always }
        CSS;

    private string $body = '';

    public function __construct(private readonly Paper $paper, private readonly string $title, private readonly string $foot)
    {
    }

    public function page(): void
    {
        $this->body .= '<div class="page"></div>';
    }

    public function heading(string $text, float $points = 11.0): void
    {
        $this->body .= sprintf('<h2 style="font-size: %spt">%s</h2>', $points, self::printable($text));
    }

    public function text(string $text, bool $isSoft = false, bool $isStrong = false, float $points = 8.5): void
    {
        $this->body .= sprintf('<p class="%s" style="font-size: %spt%s">%s</p>', $isSoft ? 'soft' : 'plain', $points, $isStrong ? '; font-weight: bold' : '', self::printable($text));
    }

    /** @param  list<string>  $lines */
    public function items(array $lines): void
    {
        $this->body .= '<ul>'.implode('', array_map(static fn (string $line): string => '<li>'.self::printable($line).'</li>', $lines)).'</ul>';
    }

    /**
     * Figures side by side, each above its name.
     *
     * @param  list<array{string, string}>  $figures
     */
    public function figures(array $figures): void
    {
        $cells = array_map(static fn (array $f): string => sprintf('<td><div class="figure">%s</div><div class="named">%s</div></td>', self::printable($f[0]), self::printable($f[1])), $figures);
        $this->body .= '<table class="figures"><tr>'.implode('', $cells).'</tr></table>';
    }

    /**
     * @param  list<string>  $heads
     * @param  list<list<string>>  $rows
     * @param  list<float>  $shares  of the width, by column
     */
    public function table(array $heads, array $rows, array $shares): void
    {
        $head = array_map(static fn (string $text, float $share): string => sprintf('<th style="width: %s%%">%s</th>', 100 * $share, self::printable($text)), $heads, $shares);
        $body = array_map(static fn (array $row): string => '<tr>'.implode('', array_map(static fn (string $cell): string => '<td>'.self::printable($cell).'</td>', $row)).'</tr>', $rows);
        $this->body .= (count($rows) > self::SHORT ? '<table>' : '<table class="short">').'<thead><tr>'.implode('', $head).'</tr></thead><tbody>'.implode('', $body).'</tbody></table>';
    }

    /** @param  float  $height  mm, of the frame alone */
    public function chart(Curves $curves, float $height): void
    {
        $this->body .= $curves->html($this->paper->widthMm() - 2 * self::MARGIN_MM, $height);
    }

    public function pdf(): string
    {
        $options = new Options;
        // Nothing is fetched, nothing in the text is run, and metrics are kept where the application may write.
        $options->setIsRemoteEnabled(false);
        $options->setIsPhpEnabled(false);
        $options->setIsJavascriptEnabled(false);
        $options->setFontCache(storage_path('framework/cache'));
        $options->setTempDir(storage_path('framework/cache'));
        $options->setDefaultFont(self::FONT);
        // Only the letters that are used, and those with their meaning: the text can be selected.
        $options->setIsFontSubsettingEnabled(true);
        $pdf = new Dompdf($options);
        $pdf->setPaper($this->paper->value);
        $pdf->loadHtml(sprintf('<html><head><meta charset="utf-8"><title>%s</title><style>%s</style></head><body>%s</body></html>', self::printable($this->title), self::LOOKS, $this->body), 'UTF-8');
        $pdf->render();
        $pdf->addInfo('Creator', 'Harmozon');
        $pdf->addInfo('Producer', 'Harmozon');
        $canvas = $pdf->getCanvas();
        $canvas->page_text(
            self::MARGIN_MM * self::POINTS_A_MM, $canvas->get_height() - self::FOOT_UP_MM * self::POINTS_A_MM, "{$this->foot} · {PAGE_NUM} / {PAGE_COUNT}",
            (string) $pdf->getFontMetrics()->getFont(self::FONT), self::FOOT_POINTS, self::SOFT,
        );

        return (string) $pdf->output();
    }

    /** Escapes text for a page. The font has no characters beyond Unicode's first plane. */
    public static function printable(string $text): string
    {
        return nl2br(htmlspecialchars((string) preg_replace('/[\x{10000}-\x{10FFFF}]|(?![\n])\p{Cc}/u', "\u{FFFD}", mb_scrub($text))), false);
    }
}
