<?php

declare(strict_types=1);

namespace App\Papers;

use Dompdf\Dompdf;
use Dompdf\Options;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Response;

/** A sheet as PDF, A4, with the fonts that ship with the application. */
final readonly class Paper
{
    public static function pdf(View $sheet, string $name): Response
    {
        $pdf = new Dompdf(
            new Options([
                'isRemoteEnabled' => false,
                'defaultFont' => 'DejaVu Sans',
                'fontCache' => storage_path('framework/cache'),
            ]),
        );
        $pdf->loadHtml($sheet->render());
        $pdf->setPaper('A4');
        $pdf->render();

        return new Response((string) $pdf->output(), 200, [
            'Content-Type' => 'application/pdf',
            'Content-Disposition' => "inline; filename=\"{$name}.pdf\"",
        ]);
    }
}
