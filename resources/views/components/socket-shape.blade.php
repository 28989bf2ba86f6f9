@props(['shape'])
{{-- What a socket looks like: a body, and what shows in it. --}}
@switch($shape)
    @case('xlr') <circle class="sock-b" r="6.6"/><circle class="sock-d" cx="-2.6" cy="-1" r="1.3"/>
        <circle class="sock-d" cx="2.6" cy="-1" r="1.3"/><circle class="sock-d" cy="3" r="1.3"/> @break
    @case('combo') <circle class="sock-b" r="6.6"/><circle class="sock-r" r="3.2"/><circle class="sock-d" r="1.2"/> @break
    @case('jack') <circle class="sock-b" r="5.6"/><circle class="sock-d" r="2"/> @break
    @case('mini') <circle class="sock-b" r="4"/><circle class="sock-d" r="1.2"/> @break
    @case('rca') <circle class="sock-r sock-o" r="5.4"/><circle class="sock-b" r="2.6"/> @break
    @case('rca-pair') <circle class="sock-b" cx="-4" r="3.2"/><circle class="sock-b" cx="4" r="3.2"/> @break
    @case('post') <path class="sock-b" d="M-6,-4H6V4H-6Z"/><path class="sock-r" d="M-3,0H-1M1,0H3M2,-1V1"/> @break
    @case('coax') <circle class="sock-b" r="5.4"/><path class="sock-r" d="M-2.4,0H2.4M0,-2.4V2.4"/> @break
    @case('optical') <path class="sock-b" d="M-5.4,5.4V-2L-2,-5.6H2L5.4,-2V5.4Z"/><circle class="sock-d" cy="1" r="2"/> @break
    @case('hdmi') <path class="sock-b" d="M-7,-3.6H7V0.6L4,3.6H-4L-7,0.6Z"/> @break
    @case('dp') <path class="sock-b" d="M-7,-3.4H7V3.4H-4L-7,0.6Z"/><path class="sock-r" d="M-3,0H4"/> @break
    @case('usb-a') <path class="sock-b" d="M-7,-4H7V4H-7Z"/><path class="sock-r" d="M-4,-0.8H4"/> @break
    @case('usb-b') <path class="sock-b" d="M-5.4,5.4V-3L-3,-5.4H3L5.4,-3V5.4Z"/><path class="sock-d" d="M-2,-1.6H2V2H-2Z"/> @break
    @case('usb-c') <rect class="sock-b" x="-7" y="-3.2" width="14" height="6.4" rx="3.2"/> @break
    @case('micro') <path class="sock-b" d="M-5,-2.6H5L3.6,2.6H-3.6Z"/> @break
    @case('midi') <circle class="sock-b" r="6.2"/><circle class="sock-d" cx="-3" r="1"/><circle class="sock-d" cx="3" r="1"/>
        <circle class="sock-d" cy="3" r="1"/> @break
    @case('net') <path class="sock-b" d="M-6,5V-2H-3V-5H3V-2H6V5Z"/> @break
    @case('radio') <circle class="sock-b" cy="3.6" r="1.8"/>
        <path class="sock-r sock-o" d="M-3.6,0.6A5,5 0 0 1 3.6,0.6M-6,-2.4A8.5,8.5 0 0 1 6,-2.4"/> @break
    @case('card') <path class="sock-b" d="M-4.6,-5.6H2L4.6,-3V5.6H-4.6Z"/><path class="sock-r" d="M-2,-3V-1M0.4,-3V-1"/> @break
    @case('call') <path class="sock-b" d="M0,-6.4L6.4,0L0,6.4L-6.4,0Z"/> @break
@endswitch
