<?php

declare(strict_types=1);

namespace Harmozon\Core\Kit;

use Harmozon\Core\Words\Message;

/** What to ask about an adapter before buying it, the weightiest question first (UL 2252, SAE J3400/1, IEC 62196). */
enum VettingQuestion: string
{
    case LabelNamesBoth = 'label_names_both';
    case PlateSaid = 'plate_said';
    case CertifiedMark = 'certified_mark';
    case MakerAccepts = 'maker_accepts';
    case LeverBlocked = 'lever_blocked';
    case HeatCutOff = 'heat_cut_off';
    case OrderGiven = 'order_given';
    case RecallLookedAt = 'recall_looked_at';
    case SellerAnswers = 'seller_answers';

    public function weight(): Weight
    {
        return match ($this) {
            self::LabelNamesBoth, self::PlateSaid, self::CertifiedMark => Weight::High,
            self::MakerAccepts, self::LeverBlocked, self::HeatCutOff, self::RecallLookedAt => Weight::Medium,
            self::OrderGiven, self::SellerAnswers => Weight::Low,
        };
    }

    public function asked(): Message
    {
        return match ($this) {
            self::LabelNamesBoth => Message::of('vet_ask.label_names_both'),
            self::PlateSaid => Message::of('vet_ask.plate_said'),
            self::CertifiedMark => Message::of('vet_ask.certified_mark'),
            self::MakerAccepts => Message::of('vet_ask.maker_accepts'),
            self::LeverBlocked => Message::of('vet_ask.lever_blocked'),
            self::HeatCutOff => Message::of('vet_ask.heat_cut_off'),
            self::OrderGiven => Message::of('vet_ask.order_given'),
            self::RecallLookedAt => Message::of('vet_ask.recall_looked_at'),
            self::SellerAnswers => Message::of('vet_ask.seller_answers'),
        };
    }

    public function why(): Message
    {
        return match ($this) {
            self::LabelNamesBoth => Message::of('vet_why.label_names_both'),
            self::PlateSaid => Message::of('vet_why.plate_said'),
            self::CertifiedMark => Message::of('vet_why.certified_mark'),
            self::MakerAccepts => Message::of('vet_why.maker_accepts'),
            self::LeverBlocked => Message::of('vet_why.lever_blocked'),
            self::HeatCutOff => Message::of('vet_why.heat_cut_off'),
            self::OrderGiven => Message::of('vet_why.order_given'),
            self::RecallLookedAt => Message::of('vet_why.recall_looked_at'),
            self::SellerAnswers => Message::of('vet_why.seller_answers'),
        };
    }

    /** Where to look for the answer. */
    public function where(): Message
    {
        return match ($this) {
            self::LabelNamesBoth => Message::of('vet_where.label_names_both'),
            self::PlateSaid => Message::of('vet_where.plate_said'),
            self::CertifiedMark => Message::of('vet_where.certified_mark'),
            self::MakerAccepts => Message::of('vet_where.maker_accepts'),
            self::LeverBlocked => Message::of('vet_where.lever_blocked'),
            self::HeatCutOff => Message::of('vet_where.heat_cut_off'),
            self::OrderGiven => Message::of('vet_where.order_given'),
            self::RecallLookedAt => Message::of('vet_where.recall_looked_at'),
            self::SellerAnswers => Message::of('vet_where.seller_answers'),
        };
    }

    /** What it means that the answer is no. */
    public function denied(): Message
    {
        return match ($this) {
            self::LabelNamesBoth => Message::of('vet_no.label_names_both'),
            self::PlateSaid => Message::of('vet_no.plate_said'),
            self::CertifiedMark => Message::of('vet_no.certified_mark'),
            self::MakerAccepts => Message::of('vet_no.maker_accepts'),
            self::LeverBlocked => Message::of('vet_no.lever_blocked'),
            self::HeatCutOff => Message::of('vet_no.heat_cut_off'),
            self::OrderGiven => Message::of('vet_no.order_given'),
            self::RecallLookedAt => Message::of('vet_no.recall_looked_at'),
            self::SellerAnswers => Message::of('vet_no.seller_answers'),
        };
    }

    /** The question as something that is still open. */
    public function open(): Message
    {
        return match ($this) {
            self::LabelNamesBoth => Message::of('vet_open.label_names_both'),
            self::PlateSaid => Message::of('vet_open.plate_said'),
            self::CertifiedMark => Message::of('vet_open.certified_mark'),
            self::MakerAccepts => Message::of('vet_open.maker_accepts'),
            self::LeverBlocked => Message::of('vet_open.lever_blocked'),
            self::HeatCutOff => Message::of('vet_open.heat_cut_off'),
            self::OrderGiven => Message::of('vet_open.order_given'),
            self::RecallLookedAt => Message::of('vet_open.recall_looked_at'),
            self::SellerAnswers => Message::of('vet_open.seller_answers'),
        };
    }
}
