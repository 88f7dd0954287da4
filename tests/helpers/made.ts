/** Inventories written by hand for tests: shapes that other versions of the tools print. */

export const modernDmidecode = `# dmidecode 3.3
Getting SMBIOS data from sysfs.
SMBIOS 3.1.1 present.

Handle 0x0000, DMI type 0, 26 bytes
BIOS Information
\tVendor: Firmware House
\tVersion: 1.22
\tRelease Date: 03/12/2019

Handle 0x0001, DMI type 1, 27 bytes
System Information
\tManufacturer: Ombrik
\tProduct Name: Ombrik Desk 40
\tVersion: To Be Filled By O.E.M.
\tSerial Number: Default string

Handle 0x0002, DMI type 2, 15 bytes
Base Board Information
\tManufacturer: Ombrik
\tProduct Name: 0D40

Handle 0x0003, DMI type 3, 22 bytes
Chassis Information
\tManufacturer: Default string
\tType: Low Profile Desktop

Handle 0x0020, DMI type 9, 17 bytes
System Slot Information
\tDesignation: SLOT1
\tType: x16 PCI Express 3 x16
\tCurrent Usage: Available

Handle 0x0040, DMI type 16, 23 bytes
Physical Memory Array
\tLocation: System Board Or Motherboard
\tUse: System Memory
\tMaximum Capacity: 64 GB
\tNumber Of Devices: 4

Handle 0x0041, DMI type 17, 40 bytes
Memory Device
\tTotal Width: 64 bits
\tSize: 8192 MB
\tForm Factor: DIMM
\tLocator: DIMM1
\tType: DDR4
\tSpeed: 2400 MT/s
\tManufacturer: Lunnet

Handle 0x0042, DMI type 17, 40 bytes
Memory Device
\tSize: No Module Installed
\tForm Factor: DIMM
\tLocator: DIMM2
\tType: Unknown

Handle 0x0050, DMI type 4, 48 bytes
Processor Information
\tSocket Designation: U3E1
\tType: Central Processor
\tManufacturer: Corvane
\tVersion: Corvane C5-640 CPU @ 3.20GHz
\tStatus: Populated, Enabled
\tUpgrade: Socket LGA1151

Handle 0x0051, DMI type 4, 48 bytes
Processor Information
\tVersion: Not Specified
\tStatus: Unpopulated
\tUpgrade: Socket LGA1151

Handle 0x0060, DMI type 39, 22 bytes
System Power Supply
\tName: PSU 460
\tManufacturer: Default string
\tMax Power Capacity: 0.460 W
\tStatus: Present, OK
`;

export const modernLshw = {
  id: 'host',
  class: 'system',
  description: 'Desktop Computer',
  product: 'Ombrik Desk 40 (SKU40)',
  vendor: 'Ombrik',
  children: [
    {
      id: 'core',
      class: 'bus',
      product: '0D40',
      vendor: 'Ombrik',
      children: [
        {
          id: 'memory',
          class: 'memory',
          units: 'bytes',
          size: 17179869184,
          children: [
            {
              id: 'bank:0',
              class: 'memory',
              description: 'DIMM DDR4 Synchronous 2400 MHz (0.4 ns)',
              slot: 'DIMM1',
              units: 'bytes',
              size: 8589934592,
              clock: 2400000000,
            },
            { id: 'bank:1', class: 'memory', description: 'DIMM [empty]', slot: 'DIMM2' },
          ],
        },
        {
          id: 'cpu',
          class: 'processor',
          product: 'Corvane C5-640 CPU @ 3.20GHz',
          vendor: 'Corvane Corp.',
          slot: 'U3E1',
        },
        {
          id: 'sata',
          class: 'storage',
          children: [
            {
              id: 'disk',
              class: 'disk',
              description: 'ATA Disk',
              product: 'Marrowby S256',
              units: 'bytes',
              size: 256060514304,
            },
            { id: 'cdrom', class: 'disk', description: 'DVD writer', product: 'Round DVD' },
          ],
        },
        {
          id: 'nvme',
          class: 'storage',
          description: 'NVMe device',
          product: 'Marrowby N512',
          logicalname: '/dev/nvme0',
        },
        {
          id: 'stick',
          class: 'disk',
          product: 'Stick',
          businfo: 'usb@1:2',
          units: 'bytes',
          size: 8e9,
        },
      ],
    },
  ],
};

export const cimJson = {
  nutshell: 1,
  system: { Manufacturer: 'Ombrik', Model: 'Ombrik Desk 40' },
  board: { Manufacturer: 'Ombrik', Product: '0D40' },
  bios: { SMBIOSBIOSVersion: '1.22' },
  chassis: { ChassisTypes: [15] },
  processors: { Name: 'Corvane C5-640 CPU @ 3.20GHz', SocketDesignation: 'LGA1151' },
  memory: [
    {
      Capacity: 8589934592,
      Speed: 2400,
      SMBIOSMemoryType: 26,
      FormFactor: 8,
      DeviceLocator: 'DIMM1',
    },
    {
      Capacity: '8589934592',
      Speed: 2400,
      SMBIOSMemoryType: 26,
      FormFactor: 8,
      DeviceLocator: 'DIMM3',
    },
  ],
  array: { MemoryDevices: 4, MaxCapacity: 67108864 },
  drives: [
    { Model: 'Marrowby S256', Size: 256052966400, InterfaceType: 'IDE' },
    { Model: 'Stick', Size: 8004304896, InterfaceType: 'USB' },
  ],
  cards: { Name: 'Corvane UHD Graphics 630' },
};
