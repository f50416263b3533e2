<?php

declare(strict_types=1);

namespace App\Printing;

use TCPDF;

/** Every page says at its foot whose it is, and which of how many. */
final class FootedPdf extends TCPDF
{
    private const UP = 14.0;

    public function __construct(Paper $paper, public string $foot)
    {
        parent::__construct('P', 'mm', $paper->value, true, 'UTF-8');
        // No page speaks of the library that made it.
        $this->tcpdflink = false;
    }

    /** Called by the library at the end of each page. */
    public function Footer(): void
    {
        $this->setY(-self::UP);
        $this->setFont(Sheet::FONT, '', 6.5);
        $this->setTextColorArray(Sheet::SOFT);
        $this->Cell(0, 4, "{$this->foot} · {$this->getAliasNumPage()} / {$this->getAliasNbPages()}");
    }
}
