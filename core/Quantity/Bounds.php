<?php

declare(strict_types=1);

namespace HiddenWire\Core\Quantity;

/** Lengths of texts and ranges of numbers, each once: readers, forms, columns and the published schema go by them. */
final class Bounds
{
    /** Characters of the name of a rig, place, unit, device, or model. */
    public const NAME = 120;

    /** Of the name of a sound, listener or situation, and of the label of a socket or point. */
    public const SHORT_NAME = 60;

    /** Of a cable's label. */
    public const LABEL = 20;

    /** A user's name for a point, shown before the unit's own name for it. */
    public const POINT_NAME = 40;

    /** Controls of a rig or of a model, and what one of them moves. */
    public const CONTROLS = 400;

    public const MOVES = 60;

    /** Wishes for the same balance. */
    public const BALANCES = 200;

    /** How far a sound may be off in a balance, in dB. */
    public const WITHIN_DB = [0.1, 40];

    /** How loud a sound may be that must not be heard; from 60 dB down on nothing is. */
    public const UP_TO_DB = [-60, 0, 'This has to be from -60 to 0 dB.'];

    /** Scenes of a program. */
    public const SCENES = 100;

    /** Effects of a unit. */
    public const EFFECTS = 400;

    /** What one effect does to the level, in dB. */
    public const EFFECT_DB = [-60, 60];

    /** From where on a high-pass lets through, in Hz. */
    public const CUTOFF_HZ = [10, 2000];

    /** Bands of an equaliser. */
    public const BANDS = 12;

    /** Characters of all bands as they are written. */
    public const BANDS_TEXT = 200;

    /** The middle of a band, in Hz, and what it adds, in dB. */
    public const BAND_HZ = [20, 20000];

    public const BAND_DB = [-30, 30];

    /** Where an effect begins to work, in dBFS. */
    public const THRESHOLD_DB = [-100, 0];

    /** Of a compressor: so many to one. */
    public const RATIO = [1, 100];

    /** What is added behind the compressing, in dB. */
    public const MAKE_UP_DB = [0, 40];

    /** By how much a ducker lowers its sound, in dB. */
    public const LOWERS_DB = [0, 80];

    /** By what one effect holds the sound back, in ms. */
    public const EFFECT_MS = [0, 5000];

    /** Devices that a program takes in addition to the first. */
    public const ALSO = 31;

    /** Of a cable's colour. */
    public const COLOUR = 30;

    /** Of a socket's colour. */
    public const JACK_COLOUR = 20;

    /** Of firmware and serial number. */
    public const NOTE = 60;

    /** An address of mail. */
    public const EMAIL = 190;

    /** A day of the calendar. */
    public const DAY = 10;

    /** Of what a rig is for. */
    public const SUMMARY = 4000;

    /** Of what a model is. */
    public const MODEL_SUMMARY = 2000;

    /** Of the notes on a unit. */
    public const NOTES = 8000;

    /** Of a price and of a supplier. */
    public const PRICE = 40;

    public const SUPPLIER = 120;

    /** Of an address of a manual or driver. */
    public const URL = 500;

    /** Manuals and drivers of a unit. */
    public const LINKS = 12;

    /** Of the reason why something is as it is. */
    public const WHY = 1000;

    /** Of a step of the run-down. */
    public const STEP = 300;

    /** Reasons, steps, and accepted findings of a rig, each. */
    public const PAPERS = 2000;

    /** Seconds until a unit works, or to wait after a step. */
    public const WAIT_S = [0, 3600];

    /** Minutes that a proof takes. */
    public const MINUTES = [0, 10_000];

    /** Minutes from the beginning of a show. */
    public const AT_MIN = [-1440, 1440];

    /** A program's number in the order of starting. */
    public const START = [1, 1000];

    /** A cable's length in metres. */
    public const LENGTH_M = [0, 10_000];

    /** A device's sample rate in Hz. */
    public const RATE_HZ = [8000, 768_000];

    /** A device's bits a sample. */
    public const BITS = [8, 64];

    /** The system's own level of a device in dB: recording devices can be boosted. */
    public const SYSTEM_DB = [-100, 30];

    /** Systems that a program or driver runs on. */
    public const SYSTEMS = 8;

    /** Current that a unit draws from a bus, or a socket gives. */
    public const MILLIAMPERES = [0, 20_000];

    /** Watts that a unit takes from the wall. */
    public const POWER_W = [0, 10_000];

    /** Metres from a source to what takes it. */
    public const DISTANCE_M = [0.01, 100];

    /** Decibels go from minus to plus this. */
    public const DB = 200;

    /** Milliseconds go from 0 to this. */
    public const MS = 60_000;

    /** Channels of a point or device. */
    public const CHANNELS = 32;

    /** Routes of a model. */
    public const ROUTES = 4000;

    /** A named setting, and what is printed on a scale, goes from minus to plus this. */
    public const SETTING = 100_000;
}
